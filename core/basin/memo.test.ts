import { describe, expect, it } from 'vitest';
import { aboutOf, MEMO_BITS, MEMO_LIMIT, MEMO_SECONDS, soundType } from './memo.ts';

const id = '0192d5a0-0000-7000-8000-000000000000';

describe('a note', () => {
  it('is about what its page is about', () => {
    expect(aboutOf(`/wash-days/${id}/look/day-1`)).toEqual({ kind: 'wash-day', id });
    expect(aboutOf(`/heads/${id}`)).toEqual({ kind: 'wearer', id });
    expect(aboutOf(`/shelf/${id}`)).toEqual({ kind: 'product', id });
    expect(aboutOf(`/trials/${id}/compare`)).toEqual({ kind: 'trial', id });
    for (const path of ['/', '/shelf', '/shelf/new', '/trials/new/plan', '/weather'])
      expect(aboutOf(path)).toBeNull();
  });
  it('by voice is known by how it begins, and fits ten minutes many times', () => {
    const bytes = (...all: (number | string)[]) =>
      new Uint8Array(
        all.flatMap((one) => (typeof one === 'number' ? one : [...one].map((c) => c.charCodeAt(0)))),
      );
    expect(soundType(bytes(0x1a, 0x45, 0xdf, 0xa3, 1))).toBe('audio/webm');
    expect(soundType(bytes('OggS', 0))).toBe('audio/ogg');
    expect(soundType(bytes(0, 0, 0, 32, 'ftypM4A '))).toBe('audio/mp4');
    expect(soundType(bytes('<html>'))).toBeNull();
    expect(soundType(bytes())).toBeNull();
    expect((MEMO_SECONDS * MEMO_BITS) / 8).toBeLessThan(MEMO_LIMIT / 4);
  });
});
