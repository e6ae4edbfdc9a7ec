import { practiceNow, shopDb } from '@/db/engine/connection';
import { practiceRigFile, tellPracticeRig } from '@/db/practice/jobs';
import { startPracticeRig, thePracticeRig } from '@/ports/practice-rig';
import { type RigKeeper, theRig } from '@/ports/rig-run';

/** The rig of whoever asks: the shop's, or for a practice unit the stand-in. */
export const rigHere = (): RigKeeper => (practiceNow() === undefined ? theRig() : thePracticeRig());

/** Before a practice unit's run the stand-in is there, and knows what the unit is like. */
export const readyRig = async (): Promise<void> => {
  const job = practiceNow();
  if (job === undefined) return;
  await tellPracticeRig(await shopDb(), job);
  await startPracticeRig(practiceRigFile());
};
