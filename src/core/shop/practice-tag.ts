/** Letters of the tags of practice units; no shop has them. */
export const PRACTICE_LETTERS = 'TRY';
/** Tags of practice units begin past every number that a shop may give. */
const FROM = 900_000_000;

/** The number of a practice job’s unit. @param job from 1 */
export const practiceTagNo = (job: number): number => FROM + job;
/** The practice job that a unit is of; undefined for the shop’s own units. */
export const practiceJobOf = (tagNo: number): number | undefined => (tagNo > FROM ? tagNo - FROM : undefined);
