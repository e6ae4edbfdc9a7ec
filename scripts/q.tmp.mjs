import { createClient } from '@libsql/client';
const c = createClient({url:'file:/work/main/var/eddrin.db'});
const r = await c.execute("select name from sqlite_master where type='table'");
console.log(r.rows.map(x=>x.name).join(' '));
