import type { TrayPart } from '@/core/strip/tray-schema';

/** What a bench measures of a part of the demo, mm. */
export const dimsOf = (part: TrayPart, wheel: boolean, nominalMm: number): TrayPart['dims'] => {
  switch (part.kind) {
    case 'cup':
    case 'plunger-seal':
      return { lengthMm: wheel ? 6 : 7 };
    case 'boot':
      return wheel
        ? { idMm: nominalMm < 20 ? 12 : 14, odMm: nominalMm > 23 ? 28 : 26 }
        : { idMm: 10, odMm: nominalMm > 23 ? 30 : nominalMm < 20 ? 26 : 28 };
    case 'grommet':
      return { idMm: 9, odMm: 18 };
    case 'circlip':
      return { thickMm: 1.2 };
    case 'square-seal':
      return { csMm: 3.6 };
    case 'dust-seal':
      return { odMm: Math.round(nominalMm + 6) };
    case 'piston':
    case 'plunger':
      return { diaMm: Math.round((nominalMm - 0.045) * 1000) / 1000 };
    case 'spring':
      return { lengthMm: wheel ? 12 : 41 };
    default:
      return {};
  }
};
