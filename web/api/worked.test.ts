import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { describe, expect, it, onTestFinished } from 'vitest';
import { inKey, isWorked, worked } from './worked.ts';

describe('what a worker works out', () => {
  it('is kept by the value of plain inputs and by which object the others are', () => {
    const one = { id: 1 };
    expect(inKey([1, 'a', null])).toEqual(inKey([1, 'a', null]));
    expect(inKey(one)).toBe(inKey(one));
    expect(inKey(one)).not.toBe(inKey({ id: 1 }));
    expect(inKey([one])).not.toEqual(inKey([one]));
  });

  it('stays on show for the same subject while it is worked out anew, never for another', async () => {
    const client = new QueryClient();
    onTestFinished(() => client.clear());
    const never = () => new Promise<string>(() => {});
    const observer = new QueryObserver(
      client,
      worked('ground', [1], async () => 'of Ines', 'ines'),
    );
    onTestFinished(observer.subscribe(() => {}));
    await expect.poll(() => observer.getCurrentResult().data).toBe('of Ines');
    observer.setOptions(worked('ground', [2], never, 'ines'));
    expect(observer.getCurrentResult()).toMatchObject({ data: 'of Ines', isPlaceholderData: true });
    observer.setOptions(worked('ground', [2], never, 'tomasz'));
    expect(observer.getCurrentResult().data).toBeUndefined();
  });

  it('is not asked for again by a save, as answers are', async () => {
    const client = new QueryClient();
    onTestFinished(() => client.clear());
    await client.fetchQuery(worked('ground', [1], async () => 'kept', 'ines'));
    await client.fetchQuery({ queryKey: ['wearers'], queryFn: async () => [] });
    await client.invalidateQueries({ predicate: (query) => !isWorked(query) });
    expect(
      client
        .getQueryCache()
        .getAll()
        .map(({ state }) => state.isInvalidated),
    ).toEqual([false, true]);
  });
});
