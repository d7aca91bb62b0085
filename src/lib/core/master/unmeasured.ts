/** Why no shot is sized for a master yet. */
export const UNMEASURED =
	'Its volume is not known yet: measure it on its page, or fill its mould with water at the first look.';
