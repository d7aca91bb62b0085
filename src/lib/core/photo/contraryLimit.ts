/** A picture that denies so large a share of an outline is in contradiction with the others. */
export const CONTRARY = 0.015;
