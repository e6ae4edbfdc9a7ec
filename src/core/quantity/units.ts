/** How a person reads and types quantities; stored are always mm, bar, °C, N and ml. */
export type Units = {
  readonly length: 'mm' | 'in';
  readonly pressure: 'bar' | 'psi';
  readonly temperature: 'C' | 'F';
  readonly force: 'N' | 'lbf';
};

export const METRIC: Units = { length: 'mm', pressure: 'bar', temperature: 'C', force: 'N' };
export const IMPERIAL: Units = { length: 'in', pressure: 'psi', temperature: 'F', force: 'lbf' };

export const MM_PER_INCH = 25.4;
/** @source NIST SP 811, appendix B */
export const PSI_PER_BAR = 14.503773773;
/** @source NIST SP 811, appendix B */
export const N_PER_LBF = 4.4482216153;
