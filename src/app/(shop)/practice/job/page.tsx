import type { Metadata } from 'next';
import { theDb } from '@/db/engine/connection';
import { jobsOf } from '@/db/practice/jobs';
import { Jobs } from '@/ui/practice/jobs';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'A whole job' };

/** A practice unit with a hidden truth goes through the stations; at the end its truth is laid beside what was found. */
export default async function JobPage() {
  const [person, db] = await Promise.all([personOrSignIn(), theDb()]);
  const jobs = await jobsOf(db, person.id);
  return (
    <>
      <h1 className="mb-1 text-xl font-bold">A whole job</h1>
      <p className="mb-3 max-w-3xl text-ink2">
        A practice unit is stripped, gauged, judged, cut, closed up and proved at the real stations, with a stand-in gauge and rig. What it
        is really like stays hidden until you lay it beside what you found. It takes no tag, no stock and no place in the plan.
      </p>
      <Jobs jobs={jobs} />
    </>
  );
}
