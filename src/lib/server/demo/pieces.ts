import { masterRecord, type MasterRecord } from '$lib/core/master';

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
		master: masterRecord.parse({
			name: 'Ammonite paperweight',
			material: 'stone',
			...square(96, 82, 36),
			surface: 'satin',
			readings: [
				{ method: 'overflow', overflowMassG: 118.4, waterTempC: 19, remark: 'first try, cup dripped' },
				{ method: 'rise', beforeMl: 400, afterMl: 517, remark: 'measuring cup, 5 ml steps' },
				{ method: 'cast', castMassG: 124.1, castDensityGPerMl: 1.045, remark: 'pull 3 of the first mould' }
			],
			references: [
				{ name: 'across the shell', lengthMm: 96 },
				{ name: 'height at the middle', lengthMm: 36 }
			],
			sealing: 'wax',
			note: 'For the museum shop, thirty a month.'
		}),
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
		master: masterRecord.parse({
			name: 'Lamplighter figure',
			material: 'resin print',
			...square(64, 58, 168),
			readings: [{ method: 'overflow', overflowMassG: 154.2, waterTempC: 21 }],
			note: 'Post-cured and washed twice before the rubber went on.'
		}),
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
		master: masterRecord.parse({
			name: 'Ship’s nameplate letters',
			material: 'metal',
			...square(140, 48, 12),
			readings: [{ method: 'typed', volumeMl: 38 }],
			note: 'The set of nine on one board.'
		}),
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
		master: masterRecord.parse({
			name: 'Ice shard',
			material: 'glass or glazed',
			...round(44, 118),
			surface: 'gloss',
			readings: [
				{
					method: 'solids',
					pieces: [{ sign: 'add', solid: { shape: 'cone', diameterMm: 44, heightMm: 118 } }]
				}
			],
			note: 'Winter scene of the puppet theatre.'
		}),
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
		master: masterRecord.parse({
			name: 'Quay bollard, small',
			material: 'wood',
			...round(62, 88),
			readings: [{ method: 'overflow', overflowMassG: 172.5, waterTempC: 20 }],
			note: 'Two coats of shellac, waxed.'
		}),
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
