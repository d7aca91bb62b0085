import type { Filler } from '../mix/mix';

/** One layer of one copy before it has a clock. */
export interface LayerSpec {
	/** Without what stays in the cup, ml. */
	volumeMl: number;
	thicknessMm: number;
	serves: string;
	way: 'roll' | 'flat' | 'brush';
	fillers: Filler[];
	/** Tinted by the shot's recipe. */
	tinted?: boolean;
	levelMm?: number;
	setsIn?: string[];
	sags?: boolean;
}

/** A layer of one copy with its clocks, s after the first was poured; the volume holds what is lost too. */
export interface TimedLayer extends LayerSpec {
	startS: number;
	lockS: number;
	gelS: number;
	recoatFromS: number;
	recoatUntilS: number;
}
