import { prepared } from './prepared';

/** What is read often and changes seldom: given again as long as its stamp, which costs little to ask for, is the same. Different things have different keys. */
export const cachedUnder = <D extends object, T>(
  read: (db: D, key: string) => Promise<T>,
): ((db: D, key: string, stamp: string) => Promise<T>) => {
  const all = prepared((_: D) => new Map<string, { readonly stamp: string; readonly value: T }>());
  return async (db, key, stamp) => {
    const known = all(db).get(key);
    if (known?.stamp === stamp) return known.value;
    const value = await read(db, key);
    all(db).set(key, { stamp, value });
    return value;
  };
};

/** The same with a way of its own to ask for the stamp. */
export const cachedBy = <D extends object, T>(
  stamp: (db: D, key: string) => Promise<string>,
  read: (db: D, key: string) => Promise<T>,
): ((db: D, key: string) => Promise<T>) => {
  const kept = cachedUnder(read);
  return async (db, key) => kept(db, key, await stamp(db, key));
};
