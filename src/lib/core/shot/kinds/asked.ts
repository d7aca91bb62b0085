import { brushedAsked } from './brushed/asked';
import { clearAsked } from './clear/asked';
import { coldAsked } from './cold/asked';
import { filledAsked } from './filled/asked';
import { rotocastAsked } from './rotocast/asked';
import { solidAsked } from './solid/asked';
import type { CastAsked } from './castAsked';
import type { ShotKind } from './names';

/** Every kind of cast as it is asked for: what a new kind lacks does not compile. No sum comes with it. */
export const CASTS: Readonly<Record<ShotKind, CastAsked>> = {
	solid: solidAsked,
	rotocast: rotocastAsked,
	filled: filledAsked,
	clear: clearAsked,
	cold: coldAsked,
	brushed: brushedAsked
};
