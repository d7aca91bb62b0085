/**
 * What a sheet does not say: the figure that is usual for the kind (common practice, no source). A record says which
 * of its figures are usual, so that nobody takes them for the sheet's.
 */
import { z } from 'zod';
import { colourFields, colourRecord, type ColourRecord } from './colour';
import { fillerFields, fillerRecord, type FillerRecord } from './filler';
import { thermoplasticRecord } from './release';
import { resinFields, resinRecord } from './resin';
import { rubberRecord } from './rubber';
import { starterShelf, TYPICAL_RESIN_NAMES, typicalResin } from './starter';

/** Solid and loose density of grains by family, g/ml; metals differ too much to have a usual one. */
const GRAINS: Readonly<Record<FillerRecord['family'], { solid?: number; looseShare: number }>> = {
	'hollow spheres': { solid: 0.2, looseShare: 0.6 },
	'metal powder': { looseShare: 0.4 },
	'mineral powder': { solid: 2.7, looseShare: 0.33 },
	fibre: { solid: 2.55, looseShare: 0.2 },
	'fumed silica': { solid: 2.2, looseShare: 0.023 },
	water: { solid: 1, looseShare: 1 },
	'glow or pearl powder': { solid: 3.3, looseShare: 0.35 }
};

/** Density of dyes and pastes, and of the grains of powders, g/ml. */
const COLOURS: Readonly<Record<ColourRecord['kind'], number>> = {
	dye: 1.05,
	'pigment paste': 1.4,
	mica: 2.8,
	'glow powder': 3.6,
	'pearl powder': 3
};

/** Kinds of which a sheet may leave something out. */
export type SheetKind = 'resin' | 'rubber' | 'filler' | 'colour' | 'thermoplastic';
type Typed = Readonly<Record<string, unknown>>;
type Usual = Partial<Record<string, number>>;

const positive = (value: unknown) => (typeof value === 'number' && value > 0 ? value : undefined);
const rounded = (value: number) => Number(value.toPrecision(3));

/** Density of A for each g/ml of B, where both ratios are typed and tie the two. */
function densityTie(typed: Typed): number | undefined {
	const [wa, wb, va, vb] = ['weightA', 'weightB', 'volumeA', 'volumeB'].map((k) => positive(typed[k]));
	return wa && wb && va && vb ? ((wa / wb) * vb) / va : undefined;
}

/** What follows from the sheet itself, and is nobody's guess: the density of A from two ratios and the density of B. */
function following(kind: SheetKind, typed: Typed): Usual {
	const [tie, b] = [densityTie(typed), positive(typed['densityBGPerMl'])];
	const follows = kind === 'resin' && tie && b && typed['densityAGPerMl'] === undefined;
	return follows ? { densityAGPerMl: b * tie } : {};
}

function usualResin(typed: Typed): Usual {
	const kind = TYPICAL_RESIN_NAMES.map(typicalResin).find((r) => r.family === typed['family']);
	if (!kind) return {};
	const tied = densityTie(typed) !== undefined;
	return {
		...(tied && positive(typed['densityBGPerMl']) ? {} : { densityAGPerMl: kind.densityAGPerMl }),
		...(tied || kind.densityBGPerMl === undefined ? {} : { densityBGPerMl: kind.densityBGPerMl }),
		viscosityMpaS: kind.viscosityMpaS
	};
}

function usualRubber(typed: Typed): Usual {
	const made = starterShelf().rubber.filter((r) => r.use === (typed['use'] ?? 'pour'));
	const kind = made.find((r) => r.cureKind === typed['cureKind']) ?? made[0];
	return kind ? { densityGPerMl: kind.densityGPerMl, viscosityMpaS: kind.viscosityMpaS } : {};
}

function usualFiller(typed: Typed): Usual {
	const grain = GRAINS[typed['family'] as FillerRecord['family']];
	if (!grain) return {};
	const solid = positive(typed['densityGPerMl']) ?? grain.solid;
	return {
		...(grain.solid === undefined ? {} : { densityGPerMl: grain.solid }),
		...(solid === undefined ? {} : { bulkDensityGPerMl: rounded(solid * grain.looseShare) })
	};
}

const USUAL: Readonly<Record<SheetKind, (typed: Typed) => Usual>> = {
	resin: usualResin,
	rubber: usualRubber,
	filler: usualFiller,
	colour: (typed) => {
		const densityGPerMl = COLOURS[typed['kind'] as ColourRecord['kind']];
		return densityGPerMl === undefined ? {} : { densityGPerMl };
	},
	thermoplastic: () => {
		const [{ softenTempC, densityGPerMl, coolS } = {}] = starterShelf().thermoplastic;
		return { softenTempC, densityGPerMl, coolS } as Usual;
	}
};

/**
 * What is usual for a material where its sheet says nothing, by field: densities g/ml, viscosity mPa·s,
 * temperatures °C, times s. Fields that have no usual figure are left out.
 * @example
 * usualOf('filler', { family: 'mineral powder' }); // { densityGPerMl: 2.7, bulkDensityGPerMl: 0.891 }
 */
export const usualOf = (kind: SheetKind, typed: Typed): Usual => USUAL[kind](typed);

/**
 * A sheet as it was typed, with what is usual where it says nothing, and the names of those fields.
 * @example
 * withUsual('colour', { name: 'Sea', kind: 'dye' }); // { name: 'Sea', kind: 'dye', densityGPerMl: 1.05, usual: ['densityGPerMl'] }
 */
export function withUsual<T extends Typed>(kind: SheetKind, typed: T): T & { usual: string[] } {
	const missing = Object.entries(usualOf(kind, typed)).filter(([field]) => typed[field] === undefined);
	return {
		...typed,
		...following(kind, typed),
		...Object.fromEntries(missing),
		usual: missing.map(([field]) => field).sort()
	};
}

/**
 * A record as its sheet said it: what is only usual is empty again.
 * @example
 * sheetOf({ densityGPerMl: 1.05, name: 'Sea', usual: ['densityGPerMl'] }); // { name: 'Sea', usual: ['densityGPerMl'] }
 */
export function sheetOf<T extends { usual: readonly string[] }>(record: T): Partial<T> {
	return Object.fromEntries(
		Object.entries(record).filter(([key]) => !record.usual.includes(key))
	) as Partial<T>;
}

/**
 * The fields of a sheet, checked by the rules of the record that it makes with what is usual.
 * @param stand in for what is still missing, so that the rules about the rest are said in the same breath
 */
const sheet = <S extends z.ZodObject>(fields: S, kind: SheetKind, record: z.ZodType, stand: Typed = {}): S =>
	fields.superRefine((values, ctx) => {
		const typed = values as Typed;
		const filled = Object.fromEntries(Object.entries(stand).filter(([field]) => typed[field] === undefined));
		const found = [typed, { ...typed, ...filled }].flatMap(
			(t) => record.safeParse(withUsual(kind, t)).error?.issues ?? []
		);
		const said = new Set<string>();
		for (const { code, path, message } of found) {
			const at = path.join('.');
			// what a field says of its own figure is said by it already
			const isRule = code === 'custom' || typed[String(path[0])] === undefined;
			if (!isRule || said.has(at)) continue;
			said.add(at);
			ctx.addIssue({ code: 'custom', path: [...path], message });
		}
	}) as S;

/** Forms of the shelf: what surely stands on every sheet is asked, the rest may be left empty. */
export const resinSheet = sheet(
	resinFields.partial({ densityAGPerMl: true, viscosityMpaS: true, demouldS: true }),
	'resin',
	resinRecord,
	{ demouldS: 900 }
);
export const rubberSheet = sheet(
	rubberRecord.partial({ densityGPerMl: true, viscosityMpaS: true }),
	'rubber',
	rubberRecord
);
export const fillerSheet = sheet(
	fillerFields.partial({ densityGPerMl: true, bulkDensityGPerMl: true }),
	'filler',
	fillerRecord
);
export const colourSheet = sheet(colourFields.partial({ densityGPerMl: true }), 'colour', colourRecord);
export const thermoplasticSheet = sheet(
	thermoplasticRecord.partial({ softenTempC: true, densityGPerMl: true, coolS: true }),
	'thermoplastic',
	thermoplasticRecord
);
