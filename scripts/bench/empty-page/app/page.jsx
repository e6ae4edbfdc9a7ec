import { connection } from 'next/server';

/** The floor: a dynamic page with nothing on it. */
export default async function Page() {
  await connection();
  return <p>empty</p>;
}
