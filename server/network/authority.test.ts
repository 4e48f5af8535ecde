import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { networkAddresses } from './addresses.ts';
import { Authority, ownNames } from './authority.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'sabor-authority-'));
});
afterEach(() => {
  vi.useRealTimers();
  rmSync(folder, { recursive: true, force: true });
});

/** What OpenSSL says of a certificate and its authority, by the strict rules of RFC 5280. */
function verified(authority: string, cert: string): string {
  const [ca, leaf] = ['ca.pem', 'leaf.pem'].map((name) => path.join(folder, name)) as [string, string];
  writeFileSync(ca, authority);
  writeFileSync(leaf, cert);
  try {
    return execFileSync('openssl', ['verify', '-x509_strict', '-purpose', 'sslserver', '-CAfile', ca, leaf], {
      stdio: 'pipe',
    }).toString();
  } catch (error) {
    return String((error as { stderr: Buffer }).stderr);
  }
}

describe('the authority of one Sabor', () => {
  it('is made once, readable by its user alone, and what it certifies holds by OpenSSL', async () => {
    const { cert } = await new Authority(folder).certified(['192.168.1.5', 'fd00::2'], ['bench.local']);
    const again = new Authority(folder);
    expect(verified(again.certificate()!, cert)).toContain(': OK');
    expect((await again.certified(['192.168.1.5'], ['bench.local'])).cert.trim()).toBe(cert.trim());
    for (const name of ['authority.pem', 'server.pem'])
      expect(statSync(path.join(folder, name)).mode & 0o777).toBe(0o600);
    expect(again.certificate()).not.toContain('PRIVATE');
    expect(again.fingerprint()).toMatch(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/);
  });

  it('cannot stand in for any place out there', async () => {
    const authority = new Authority(folder);
    const { cert } = await authority.certified(['203.0.113.7'], ['bench.local']);
    expect(verified(authority.certificate()!, cert)).toContain('permitted subtree violation');
  });

  it('certifies another address anew, keeps its own name though the machine has another, and renews in time', async () => {
    const authority = new Authority(folder);
    const first = await authority.certified(['10.0.0.2'], ['bench.local']);
    const moved = await authority.certified(['10.0.0.3'], ['salon.local']);
    expect(moved.cert).not.toBe(first.cert);
    expect(verified(authority.certificate()!, moved.cert)).toContain(': OK');
    vi.useFakeTimers({ now: Date.now() + 370 * 86_400_000, toFake: ['Date'] });
    expect((await authority.certified(['10.0.0.3'])).cert).not.toBe(moved.cert);
  });
});

describe('where devices come to', () => {
  it('is on networks of one’s own alone', () => {
    const at = (address: string, internal = false) =>
      ({ address, internal, family: address.includes(':') ? 'IPv6' : 'IPv4' }) as os.NetworkInterfaceInfo;
    expect(
      networkAddresses({
        lo: [at('127.0.0.1', true), at('::1', true)],
        wifi: [at('192.168.0.7'), at('fe80::1'), at('fd12::7'), at('2001:db8::7'), at('203.0.113.9')],
        cable: undefined,
      }),
    ).toEqual(['192.168.0.7', 'fd12::7']);
  });

  it('has the machine’s own name, where it is one that others can use', () => {
    expect(ownNames('Bench')).toEqual(['bench.local']);
    expect(ownNames('bench.local')).toEqual(['bench.local']);
    expect(ownNames('bench.example.org')).toEqual([]);
  });
});
