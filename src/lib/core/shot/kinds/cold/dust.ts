/** Powder that stays on the face of a dusted mould, g/m² (common practice, no source). */
export const DUST_G_PER_M2 = 60;
