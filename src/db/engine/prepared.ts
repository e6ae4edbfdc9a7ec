/**
 * A statement whose text is made once a connection: making it costs several times what running it does.
 * A transaction is a connection of its own here, so inside one it is made anew.
 */
export const prepared = <D extends object, Q>(make: (db: D) => Q): ((db: D) => Q) => {
  const kept = new WeakMap<D, Q>();
  return (db) => {
    const query = kept.get(db) ?? make(db);
    kept.set(db, query);
    return query;
  };
};
