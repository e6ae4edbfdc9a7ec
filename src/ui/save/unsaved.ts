/** What this page holds that the server does not: saves on their way, and fields that were typed into since the last save. */
let pending = 0;
let typed = false;

/** A save begins. @returns what ends it */
export const saveBegins = (): ((how: 'saved' | 'not-saved') => void) => {
  pending += 1;
  return (how) => {
    pending -= 1;
    if (how === 'saved') typed = false;
  };
};

export const isTypedInto = (): void => {
  typed = true;
};
/** The person went to another page: what they typed on the last one was left there. */
export const isLeft = (): void => {
  typed = false;
};
export const isUnsaved = (): boolean => pending > 0 || typed;

/** Told to the window when a save was not answered: the line is down, or another build answers. */
export const UNANSWERED = 'eddrin-unanswered';
