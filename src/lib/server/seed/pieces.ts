import type { z } from 'zod';
import { masterRecord, type MasterRecord } from '$lib/core/master';
import type { shotInputs } from '$lib/core/shot';

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
	/** How its shots are cast, where that is not plain solid; the filler by its name on the shelf. */
	cast?: Partial<z.input<typeof shotInputs>> & { filler?: string };
	/** Pulls of its first mould so far. */
	pulls?: number;
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
		sprueVolumeMl: 0,
		cast: { kind: 'cold', filler: 'Bell bronze', fillerPercent: 60, faceMm: 1.5, wallMm: 6, areaMm2: 15_000 },
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
		mouldAgesDays: [25, 18]
	},
	{
		master: masterRecord.parse({
			name: 'Stage anvil',
			material: 'wood',
			...square(150, 62, 70),
			readings: [{ method: 'overflow', overflowMassG: 402, waterTempC: 20 }],
			note: 'Light enough to be carried off by a puppet.'
		}),
		rubber: 'Slipway red',
		shape: 'box',
		place: 'Shelf 3',
		resins: ['Bellows gradual'],
		pot: false,
		sectionMm: 3,
		sprueVolumeMl: 0,
		cast: { kind: 'rotocast', wallMm: 3, rimLengthMm: 240 },
		pulls: 6,
		mouldAgesDays: [88]
	},
	{
		master: masterRecord.parse({
			name: 'Amber block with a fern',
			material: 'glass or glazed',
			...square(70, 50, 30),
			surface: 'gloss',
			readings: [{ method: 'typed', volumeMl: 96 }],
			note: 'Dried fern, pressed for a week.'
		}),
		rubber: 'Tidal grey',
		shape: 'box',
		place: 'Shelf 2',
		resins: ['Amber clear'],
		pot: false,
		sectionMm: 10,
		sprueVolumeMl: 0,
		cast: {
			kind: 'clear',
			depthMm: 30,
			mixS: 90,
			embeds: [{ name: 'Dried fern', massG: 0.4, volumeMl: 1.1, heightMm: 3, atMm: 12 }]
		},
		pulls: 4,
		mouldAgesDays: [66]
	},
	{
		master: masterRecord.parse({
			name: 'Cobble tile',
			material: 'stone',
			...square(160, 160, 18),
			readings: [{ method: 'overflow', overflowMassG: 349, waterTempC: 18 }],
			note: 'A street for the puppets, forty of them.'
		}),
		rubber: 'Slipway red',
		shape: 'box',
		place: 'Shelf 3',
		resins: ['Harbour slow'],
		pot: false,
		sectionMm: 10,
		sprueVolumeMl: 0,
		cast: { filler: 'Slate flour', fillerPercent: 35, pourWay: 'open face', pourPlace: 'middle' },
		pulls: 16,
		mouldAgesDays: [140]
	},
	{
		master: masterRecord.parse({
			name: 'Rope fender',
			material: 'wood',
			...round(46, 120),
			readings: [{ method: 'overflow', overflowMassG: 131, waterTempC: 20 }],
			note: 'Soft: it is thrown about on stage.'
		}),
		rubber: 'Tidal grey',
		shape: 'tube',
		place: 'Shelf 2',
		resins: ['Fender flexible'],
		pot: false,
		sectionMm: 12,
		sprueVolumeMl: 3,
		pulls: 9,
		mouldAgesDays: [70]
	}
];
