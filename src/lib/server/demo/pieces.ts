import type { MasterRecord } from '$lib/core/master';

/** A piece of the demo workshop: its master and how its moulds are used. */
export interface DemoPiece {
	master: MasterRecord;
	rubber: string;
	shape: 'box' | 'tube';
	place: string;
	/** Resins that it is cast in. */
	resins: readonly string[];
	pot: boolean;
	sectionMm: number;
	sprueVolumeMl: number;
	/** Age in days of each mould that was made of it, oldest first. */
	mouldAgesDays: readonly number[];
}

const round = (diameterMm: number, heightMm: number) =>
	({ footprint: 'round', lengthMm: diameterMm, widthMm: diameterMm, heightMm }) as const;
const square = (lengthMm: number, widthMm: number, heightMm: number) =>
	({ footprint: 'rectangular', lengthMm, widthMm, heightMm }) as const;

/** Pieces for a small maritime museum and a travelling puppet theatre, all invented. */
export const DEMO_PIECES: readonly DemoPiece[] = [
	{
		master: {
			name: 'Ammonite paperweight',
			material: 'stone',
			...square(96, 82, 36),
			reading: { method: 'overflow', overflowMassG: 118.4, waterTempC: 19 },
			note: 'For the museum shop, thirty a month.'
		},
		rubber: 'Slipway red',
		shape: 'box',
		place: 'Shelf 1, left',
		resins: ['Lantern white', 'Lantern white', 'Harbour slow'],
		pot: false,
		sectionMm: 8,
		sprueVolumeMl: 4,
		mouldAgesDays: [170, 120, 45]
	},
	{
		master: {
			name: 'Lamplighter figure',
			material: 'resin print',
			...square(64, 58, 168),
			reading: { method: 'overflow', overflowMassG: 154.2, waterTempC: 21 },
			note: 'Post-cured and washed twice before the rubber went on.'
		},
		rubber: 'Tidal grey',
		shape: 'tube',
		place: 'Shelf 1, right',
		resins: ['Lantern white'],
		pot: true,
		sectionMm: 5,
		sprueVolumeMl: 9,
		mouldAgesDays: [96, 30]
	},
	{
		master: {
			name: 'Ship’s nameplate letters',
			material: 'metal',
			...square(140, 48, 12),
			reading: { method: 'typed', volumeMl: 38 },
			note: 'The set of nine on one board.'
		},
		rubber: 'Slipway red',
		shape: 'box',
		place: 'Drawer 2',
		resins: ['Lantern white'],
		pot: false,
		sectionMm: 4,
		sprueVolumeMl: 2,
		mouldAgesDays: [80]
	},
	{
		master: {
			name: 'Ice shard',
			material: 'glass or glazed',
			...round(44, 118),
			reading: { method: 'solid', solid: { shape: 'cone', diameterMm: 44, heightMm: 118 } },
			note: 'Winter scene of the puppet theatre.'
		},
		rubber: 'Tidal grey',
		shape: 'tube',
		place: 'Shelf 2',
		resins: ['Glasswater clear'],
		pot: true,
		sectionMm: 10,
		sprueVolumeMl: 5,
		mouldAgesDays: [60, 58]
	},
	{
		master: {
			name: 'Quay bollard, small',
			material: 'wood',
			...round(62, 88),
			reading: { method: 'overflow', overflowMassG: 172.5, waterTempC: 20 },
			note: 'Two coats of shellac, waxed.'
		},
		rubber: 'Tidal grey',
		shape: 'tube',
		place: 'Bench',
		resins: ['Harbour slow'],
		pot: false,
		sectionMm: 12,
		sprueVolumeMl: 6,
		mouldAgesDays: [25]
	}
];
