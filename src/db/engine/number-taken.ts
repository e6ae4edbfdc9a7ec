/** Said where a change comes under the number of another: a repeat is the same change, whole. */
export const NUMBER_TAKEN = 'That number belongs to another change: load the page anew and do it again.';
