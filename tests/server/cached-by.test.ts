import { describe, expect, test } from 'vitest';
import { cachedBy, cachedUnder } from '@/db/engine/cached';

describe('what is read often and changes seldom', () => {
  const shelf = () => {
    const db = { stamp: '1', value: 'one', reads: 0 };
    const read = async (of: typeof db, key: string) => {
      of.reads += 1;
      return `${key}: ${of.value}`;
    };
    return { db, read };
  };

  test('is read once as long as its stamp is the same, and anew when it is another', async () => {
    const { db, read } = shelf();
    const kept = cachedBy(async (of: typeof db) => of.stamp, read);
    expect([await kept(db, 'a'), await kept(db, 'a'), db.reads]).toEqual(['a: one', 'a: one', 1]);
    db.value = 'two';
    expect(await kept(db, 'a')).toBe('a: one');
    db.stamp = '2';
    expect([await kept(db, 'a'), db.reads]).toEqual(['a: two', 2]);
  });

  test('keys and databases do not mix', async () => {
    const [one, other] = [shelf(), shelf()];
    const kept = cachedUnder(one.read);
    other.db.value = 'theirs';
    expect(await kept(one.db, 'a', '1')).toBe('a: one');
    expect(await kept(one.db, 'b', '1')).toBe('b: one');
    expect(await kept(other.db, 'a', '1')).toBe('a: theirs');
    expect([one.db.reads, other.db.reads]).toEqual([2, 1]);
  });

  test('a reading that fails is not kept', async () => {
    const db = { down: true };
    const kept = cachedUnder(async (of: typeof db, key: string) => {
      if (of.down) throw new Error('no line');
      return key;
    });
    await expect(kept(db, 'a', '1')).rejects.toThrow('no line');
    db.down = false;
    expect(await kept(db, 'a', '1')).toBe('a');
  });
});
