import { brushed } from './brushed';
import { clear } from './clear';
import { cold } from './cold';
import { filled } from './filled';
import type { CastModule } from './module';
import type { ShotKind } from './names';
import { rotocast } from './rotocast';
import { solid } from './solid';

/** Every kind of cast with all that it brings: what a new kind lacks does not compile. */
export const CAST_MODULES: Readonly<Record<ShotKind, CastModule>> = {
	solid,
	rotocast,
	filled,
	clear,
	cold,
	brushed
};
