import { z } from 'zod';
import { tempC } from '../cure/cup';
import { MEASURING_SCHOOLS } from '../mix/measuring';
import { alsoInput } from './alsoInput';
import { embedInput } from './embeds';
import { COLOUR_SCHOOL_KEYS } from './colourSchools';
import { FILL_KINDS } from './kinds/filled/fills';
import { insertInput } from './kinds/filled/insert';
import { SHOT_KINDS } from './kinds/names';
import { POUR_PLACE_KEYS, POUR_WAY_KEYS } from './pouring';
import { rotocastInput } from './kinds/rotocast/rotocast';
import { layerRow } from './kinds/rotocast/layerRow';
import { solidShotInput } from './kinds/solid/solid';

const stepS = (what: string) =>
	z
		.number({ error: `Type how long ${what} takes, such as 0:45 or 45 s.` })
		.min(0, 'A step cannot take less than no time.')
		.max(36_000, 'A step over ten hours: check the unit.');

const shape = solidShotInput.shape;

const roto = rotocastInput.shape;

/** One of several colours that are poured together. */
const colourCupInput = z.object({
	name: z.string().trim().min(1, 'Name the colour.').max(60, 'Keep it under 60 characters.'),
	recipeId: z.string().max(40).default(''),
	sharePercent: z
		.number({ error: 'Type its share of the pour, such as 30 %.' })
		.positive('A cup holds something.')
		.max(100, 'At most all of it.'),
	/** How much of it, without a mould that says so; of all cups or of none. */
	volumeMl: z
		.number({ error: 'Type how much of it, such as 90 ml or 3 oz, or leave it empty.' })
		.positive('A cup holds something.')
		.max(1e5, 'Over 100 l: check the unit.')
		.optional(),
	/** Its own start, when it is warmed or cooled; the resin's otherwise. */
	startTempC: tempC('the temperature of this cup').optional()
});

/** What the maker types to size a shot. */
export const shotInputs = z.object({
	kind: z.enum(SHOT_KINDS).default('solid'),
	masterId: z.string().min(1, 'Choose the master that is cast.'),
	mouldIds: z
		.array(z.string().min(1))
		.min(1, 'Choose at least one mould: without a mould there is nothing to pour into.')
		.max(60, 'At most 60 moulds at once.'),
	resinId: z.string({ error: 'Choose a resin from the shelf.' }).min(1, 'Choose a resin from the shelf.'),
	/** What the mould is coated with before the pull; empty: nothing. */
	releaseId: z.string().max(40).default(''),
	copies: shape.copies,
	sprueVolumeMl: z
		.number({ error: 'Type the volume of sprue and vents, such as 6 ml, or 0.' })
		.min(0, 'The sprue cannot be less than nothing.')
		.max(100_000, 'Over 100 l of sprue: check the unit.'),
	lossBy: z.enum(['film', 'percent']).default('film'),
	lossPercent: z
		.number({ error: 'Type the loss in percent, such as 10 %.' })
		.min(0, 'The loss cannot be less than nothing.')
		.max(100, 'Over as much again lost: check the loss.')
		.default(10),
	/** Mixed by what earlier pours of these moulds took, where somebody noted what was left. */
	heedLeft: z.boolean().default(true),
	sectionMm: z
		.number({ error: 'Type the thinnest section that must be firm, such as 6 mm.' })
		.min(0.5, 'Under 0.5 mm: check the unit.')
		.max(500, 'Over 500 mm: check the unit.'),
	/** The thickest place; empty: by volume and outer sizes. */
	thickestMm: z
		.number({ error: 'Type the thickest section, such as 40 mm, or leave it empty.' })
		.min(0.5, 'Under 0.5 mm: check the unit.')
		.max(500, 'Over 500 mm: check the unit.')
		.optional(),
	/** Catalyst of this shot, % of the resin by weight; empty: as the resin's record says. */
	catalystPercent: z
		.number({
			error: 'Type the catalyst in percent of the resin by weight, such as 1.5 %, or leave it empty.'
		})
		.min(0.05, 'The share of catalyst is under 0.05 %: check it.')
		.max(10, 'The share of catalyst is over 10 %: check the sheet.')
		.optional(),
	/** Moulds of other pieces that each cup fills as well. */
	also: z.array(alsoInput).max(8, 'At most eight other moulds from one cup.').default([]),
	/** Filler through and through; empty: none. */
	fillerId: z.string().max(40).default(''),
	fillerPercent: z
		.number({ error: 'Type the filler in percent of the whole by weight, such as 20 %.' })
		.min(0, 'The filler cannot be less than nothing.')
		.max(95, 'At most 95 % leaves any resin.')
		.default(20),
	/** Wire, weights, plates set into each copy. */
	inserts: z.array(insertInput).max(10, 'At most 10 things set in.').default([]),
	wallMm: roto.wallMm.default(4),
	layers: roto.layers,
	areaMm2: roto.areaMm2.optional(),
	/** Layers that differ; empty: alike. */
	layerRows: z.array(layerRow).max(12, 'At most twelve layers.').default([]),
	rimLengthMm: roto.rimLengthMm,
	rimMm: roto.rimMm,
	/** Thickness of the rim; empty: as its height. */
	rimThickMm: roto.rimThickMm,
	/** What is cut off the rim afterwards, above its height. */
	trimMm: roto.trimMm,
	turnS: roto.turnS,
	school: roto.school,
	fillKind: z.enum(FILL_KINDS).default('plaster'),
	/** Filled in its mould once it is firm, or afterwards, out of it. */
	fillWhere: z.enum(['inside', 'outside']).default('inside'),
	/** Plaster: water to one of powder, by weight. */
	waterPerPowder: z
		.number({ error: 'Type the water to one of powder by weight, such as 0.6.' })
		.min(0.2, 'Under 0.2 it does not run: check it.')
		.max(2, 'Over twice its weight of water it never sets hard: check it.')
		.optional(),
	fillDensityGPerMl: z
		.number({ error: 'Type its density in place, such as 1.7 g/ml, or leave it empty.' })
		.positive('It weighs something.')
		.max(12, 'Over 12 g/ml: check the unit.')
		.optional(),
	/** Weight and wall of an earlier hollow cast in the same resin: its skin follows. */
	castMassG: z
		.number({ error: 'Type what the earlier cast weighs, such as 180 g.' })
		.positive('It weighs something.')
		.max(1e6, 'Over a tonne: check the unit.')
		.optional(),
	castWallMm: z
		.number({ error: 'Type its wall, such as 3 mm.' })
		.min(0.3, 'Under 0.3 mm: check the unit.')
		.max(60, 'Over 60 mm: check the unit.')
		.optional(),
	/** Clear cast: how deep it is in its mould, the thickest layer, and what lies in it. */
	depthMm: z
		.number({ error: 'Type how deep the cast is in its mould, such as 40 mm.' })
		.min(2, 'Under 2 mm: check the unit.')
		.max(2000, 'Over 2 m: check the unit.')
		.optional(),
	mostLayerMm: z
		.number({ error: 'Type the thickest layer, or leave it empty.' })
		.min(2, 'Under 2 mm a layer shows as a film.')
		.max(500, 'Over 500 mm: check the unit.')
		.optional(),
	crackLimitC: tempC('the hottest that the middle may get').optional(),
	embeds: z.array(embedInput).max(10, 'At most 10 things cast in.').default([]),
	/** Cold cast: a loaded face and its backing, or the spare powder in one pour. */
	coldSchool: z.enum(['face', 'one-pour']).default('face'),
	/** Loose powder that is knocked out of the dusted mould and goes into B. */
	sparePowderG: z
		.number({ error: 'Type what was knocked out, such as 12 g, or 0.' })
		.min(0, 'No less than nothing was knocked out.')
		.max(1e5, 'Over 100 kg: check the unit.')
		.default(0),
	/** Cold cast: the loaded face, and the powder dusted on before it. */
	faceMm: z
		.number({ error: 'Type how thick the loaded face is, such as 2 mm.' })
		.min(0.3, 'Under 0.3 mm nothing covers: check the unit.')
		.max(50, 'Over 50 mm: load it through and through.')
		.default(2),
	dustGPerM2: z
		.number({ error: 'Type what stays on the face, such as 60 g/m², or leave it empty.' })
		.min(0, 'Dust weighs no less than nothing.')
		.max(2000, 'Over 2 kg on a square metre: check the unit.')
		.optional(),
	/** Brushed: one coat (empty: by consistency), and how its faces stand. */
	coatMm: z
		.number({ error: 'Type one coat, such as 1.5 mm.' })
		.min(0.2, 'Under 0.2 mm: check the unit.')
		.max(20, 'Over 20 mm: check the unit.')
		.optional(),
	/** Spreading one coat of one copy; empty: by its area. */
	layS: stepS('spreading one coat').optional(),
	stands: z.enum(['level', 'upright']).default('level'),
	/** A colour recipe from the shelf; empty: none. */
	recipeId: z.string().max(40).default(''),
	/** Several colours poured together; none: one cup. */
	cups: z.array(colourCupInput).max(6, 'At most six colours together.').default([]),
	/** Each combined and stirred by itself, or B into all and then stirred in turn. */
	colourSchool: z.enum(COLOUR_SCHOOL_KEYS).default('in-turn'),
	/** Poured when the cups are this warm; empty: at once. */
	pourTempC: tempC('the temperature at which it is poured').optional(),
	measuring: z.enum(MEASURING_SCHOOLS).default('two-cups'),
	/** A cup of the shelf that marks are given for; empty: any straight one. */
	cupId: z.string().max(40).default(''),
	pourWay: z.enum(POUR_WAY_KEYS).default('sprue'),
	pourPlace: z.enum(POUR_PLACE_KEYS).default('lowest'),
	mixS: stepS('mixing').default(45),
	vacuumS: stepS('the vacuum').default(0),
	brushS: stepS('brushing one copy').default(0),
	/** A flame over the open back; 0: none. */
	flameS: stepS('the flame over one copy').default(0),
	tapS: stepS('tapping and squeezing one copy').default(0),
	closeS: stepS('closing and clamping one copy').default(20),
	pourS: stepS('pouring one copy').default(20),
	/** Taken out while it still gives, or once it keeps its shape. */
	out: z.enum(['firm', 'flexible']).default('firm'),
	/** Pairs of hands: that many pour, or roll, at once. */
	hands: z
		.number({ error: 'Type how many pairs of hands, such as 1.' })
		.int('Hands come in pairs.')
		.min(1, 'At least one pair of hands.')
		.max(12, 'Over twelve pairs of hands: more than a bench holds.')
		.default(1),
	usePot: z.boolean().default(false),
	/** Which pot; empty: the usual one. */
	potId: z.string().max(40).default(''),
	loadS: stepS('loading and closing the pot').default(30),
	startTempC: shape.startTempC,
	mouldTempC: shape.mouldTempC,
	roomTempC: shape.roomTempC,
	relativeHumidity: z
		.number({ error: 'Type the relative humidity in percent, such as 45.' })
		.min(1, 'Relative humidity is 1–100 %.')
		.max(100, 'Relative humidity is 1–100 %.')
});
export type ShotInputs = z.output<typeof shotInputs>;

export type Inputs = Omit<ShotInputs, 'masterId' | 'resinId' | 'releaseId'>;
