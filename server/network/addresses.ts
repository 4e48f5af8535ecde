import { BlockList } from 'node:net';
import os from 'node:os';

/** Networks that are nobody's out there: homes, salons, phones' own. Source: RFC 1918, 3927, 4193, 6598; loopback for tests. */
export const OWN_NETWORKS = [
  '10.0.0.0/8',
  '172.16.0.0/12',
  '192.168.0.0/16',
  '100.64.0.0/10',
  '169.254.0.0/16',
  '127.0.0.0/8',
  'fc00::/7',
] as const;

const own = new BlockList();
for (const network of OWN_NETWORKS) {
  const [address, prefix] = network.split('/') as [string, string];
  own.addSubnet(address, Number(prefix), address.includes(':') ? 'ipv6' : 'ipv4');
}

/** Addresses of this machine on networks of its own: not its loop, and none that is reached from everywhere. */
export function networkAddresses(interfaces = os.networkInterfaces()): string[] {
  return Object.values(interfaces)
    .flatMap((all) => all ?? [])
    .filter(
      ({ internal, family, address }) => !internal && own.check(address, family === 'IPv6' ? 'ipv6' : 'ipv4'),
    )
    .map(({ address }) => address);
}

/** An address as it stands in a link. */
export const hostOf = (address: string): string => (address.includes(':') ? `[${address}]` : address);
