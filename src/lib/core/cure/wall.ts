/** What a mould's wall is made of, as heat sees it: W/m·K, g/ml, J/g·K. */
export interface WallMaterial {
	readonly name: string;
	readonly conductivityWPerMK: number;
	readonly densityGPerMl: number;
	readonly specificHeatJPerGK: number;
}

/** Walls by what they are made of (from memory: field values; the models' text gives silicone's). */
export const WALLS = {
	silicone: { name: 'silicone', conductivityWPerMK: 0.22, densityGPerMl: 1.1, specificHeatJPerGK: 1.4 },
	plaster: { name: 'plaster', conductivityWPerMK: 0.5, densityGPerMl: 1.2, specificHeatJPerGK: 1.0 },
	printed: {
		name: 'printed plastic',
		conductivityWPerMK: 0.18,
		densityGPerMl: 1.15,
		specificHeatJPerGK: 1.5
	},
	thermoplastic: {
		name: 'thermoplastic',
		conductivityWPerMK: 0.2,
		densityGPerMl: 1.15,
		specificHeatJPerGK: 2
	},
	/** Mostly water. */
	wet: { name: 'wet mould', conductivityWPerMK: 0.55, densityGPerMl: 1.1, specificHeatJPerGK: 3.5 },
	resin: { name: 'cast resin', conductivityWPerMK: 0.2, densityGPerMl: 1.1, specificHeatJPerGK: 1.7 }
} as const satisfies Record<string, WallMaterial>;
export type WallKind = keyof typeof WALLS;
export const WALL_KINDS = Object.keys(WALLS) as [WallKind, ...WallKind[]];

/** Of several walls the one that lets the least heat out: what is cast in it gets hottest and cools last. */
export const slowestWall = (walls: readonly WallKind[]): WallKind =>
	walls.reduce(
		(a, b) => (WALLS[b].conductivityWPerMK < WALLS[a].conductivityWPerMK ? b : a),
		walls[0] ?? 'silicone'
	);

/** Heat transfer to still air round a mould, W/m²·K (from memory). */
export const AIR_W_PER_M2K = 10;
