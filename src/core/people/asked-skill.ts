import { STATION_WORDS, type Station } from '../station';

/** Why a save at a station is refused to somebody who may work there only beside another. */
export const sayAskedSkill = (station: Station): string =>
  `You are not signed off for ${STATION_WORDS[station]}: somebody who is works with you there, and says so by their PIN on the station’s page.`;
