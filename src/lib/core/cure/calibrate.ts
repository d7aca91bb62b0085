import { findRoot } from '../numeric/findRoot';
import { remembering } from '../numeric/remembering';
import { formatTime } from '../units';
import { cupPotLifeS, cupPeakC } from './cupModel';
import { fillerMixModel } from './fillerMixModel';
import { arrhenius, isothermalKt, type Kinetics } from './kinetics';
import type { CureModel } from './model';
import { solvePart } from './partModel';
import {
	CHARACTERS,
	cureRecord,
	CURE_DEFAULTS,
	INDUCTION_SHARE,
	POLYESTER_PEAK,
	type CureRecord,
	type ParsedCureRecord
} from './record';

/** The slab, mould and air in which a sheet's demould time is taken to be stated, unless the record says. */
const SHEET_MOULD_WALL_MM = 10;
const SHEET_TEMP_C = 23;

/** A part wants at least this share of its own gel time after gel, whatever the sheet says (a default of ours). */
const LEAST_MATURITY = 0.1;

/**
 * Makes the figures of a data sheet come back exactly: the rate from the pot life in its cup (ASTM D2471: time in a
 * stated mass), the heat from its peak exotherm where there is one, what a part wants after gel from the demould time
 * in its section. Remembers the last records; same record, same model.
 * @throws ZodError for a record out of range.
 * @example calibrate({ potLifeS: 150, demouldS: 900, character: 'quick' }).speed // 1
 */
export const calibrate: (raw: CureRecord) => CureModel = remembering(
	(raw: CureRecord) => {
		const record = cureRecord.parse(raw);
		const wanted = wantsOf(ofSheet(record));
		const maturityS = wanted.maturityS * (record.maturityFactor ?? 1);
		const model = { ...calibrateCup(raw), ...wanted, maturityS };
		return record.fillerMix ? fillerMixModel(model, record.fillerMix) : model;
	},
	JSON.stringify,
	256
);

/** The same for a cup alone, filled or not: what a part wants after gel is not asked, which takes a tenth of the time. */
export const cupResin: (raw: CureRecord) => SheetModel & Pick<CureModel, 'defaulted'> = (raw) => {
	const model = calibrateCup(raw);
	return raw.fillerMix ? fillerMixModel(model, cureRecord.parse(raw).fillerMix!) : model;
};

const calibrateCup = remembering(
	(raw: CureRecord) => {
		const record = cureRecord.parse(raw);
		const sheet = sheetModel(ofSheet(record));
		const speed = speedOf(record);
		const { percent, referencePercent } = record.catalyst ?? { percent: 1, referencePercent: 1 };
		const kinetics: Kinetics = {
			...sheet.kinetics,
			k23PerS: sheet.kinetics.k23PerS * speed,
			// the inhibitor goes in proportion to the catalyst, the rate with its root
			inductionPerS: sheet.kinetics.inductionPerS * speed * Math.sqrt(percent / referencePercent)
		};
		return {
			...sheet,
			kinetics,
			speed,
			defaulted: CONSTANTS.filter((name) => record[name] === undefined).map((name) => CONSTANT_WORDS[name])
		};
	},
	JSON.stringify,
	256
);

/** The record without what is of this batch and mix alone: what it says of the sheet. */
function ofSheet(record: ParsedCureRecord): ParsedCureRecord {
	const {
		rateFactor: _rate,
		lengtheningPercent: _longer,
		fillerMix: _fillerMix,
		maturityFactor: _factor,
		maturitySd: _sd,
		...sheet
	} = record;
	return record.catalyst
		? { ...sheet, catalyst: { ...record.catalyst, percent: record.catalyst.referencePercent } }
		: sheet;
}

const sheetModel = remembering(
	(record: ParsedCureRecord): SheetModel => {
		const defaults = CURE_DEFAULTS[record.chemistry];
		const given = Object.fromEntries(
			CONSTANTS.map((name) => [name, record[name] ?? defaults[name]])
		) as Constants;
		const peak =
			record.peakExotherm ??
			(record.catalyst && record.heatOfCureJPerG === undefined ? POLYESTER_PEAK : undefined);
		return atSheet(record, peak ? { ...given, heatOfCureJPerG: heatFromPeak(record, given, peak) } : given);
	},
	JSON.stringify,
	256
);
const wantsOf = remembering(
	(record: ParsedCureRecord) => wants(record, sheetModel(record)),
	JSON.stringify,
	256
);

const CONSTANTS = [
	'densityGPerMl',
	'heatOfCureJPerG',
	'activationKjPerMol',
	'specificHeatJPerGK',
	'potLifeConversion',
	'gelConversion',
	'conductivityWPerMK',
	'glassFreshC',
	'deflectionTempC',
	'glassRatio',
	'maturityKjPerMol',
	'flexibleShare'
] as const;
/** What they are called. */
const CONSTANT_WORDS: Readonly<Record<Constant, string>> = {
	densityGPerMl: 'density',
	heatOfCureJPerG: 'heat of cure',
	activationKjPerMol: 'how much warmth hurries it',
	specificHeatJPerGK: 'specific heat',
	potLifeConversion: 'how far it has cured when it is too thick',
	gelConversion: 'how far it has cured at gel',
	conductivityWPerMK: 'conductivity',
	glassFreshC: 'where the fresh mix would turn to glass',
	deflectionTempC: 'where it softens',
	glassRatio: 'how its softening rises',
	maturityKjPerMol: 'how much warmth hurries it after gel',
	flexibleShare: 'from when it may be flexed'
};
type Constant = (typeof CONSTANTS)[number];
type Constants = Record<Constant, number>;

/** The batch against its sheet: tin, colour and additive; of a polyester also its share, k ∝ √catalyst. */
function speedOf(record: ParsedCureRecord): number {
	const { percent, referencePercent } = record.catalyst ?? { percent: 1, referencePercent: 1 };
	const batch = (record.rateFactor ?? 1) / (1 + (record.lengtheningPercent ?? 0) / 100);
	return batch * Math.sqrt(percent / referencePercent);
}

type SheetModel = Omit<CureModel, 'warnings' | 'defaulted'>;

/** The resin of the sheet, before it is known what its demould time wants. */
function atSheet(record: ParsedCureRecord, c: Constants): SheetModel {
	const base: Base = {
		...CHARACTERS[record.character],
		activationJPerMol: c.activationKjPerMol * 1000,
		riseK: c.heatOfCureJPerG / c.specificHeatJPerGK,
		glass: { freshC: c.glassFreshC, curedC: c.deflectionTempC, ratio: c.glassRatio }
	};
	return {
		kinetics: record.catalyst ? catalysedKinetics(record, base, c) : potLifeKinetics(record, base, c),
		densityGPerMl: c.densityGPerMl,
		specificHeatJPerGK: c.specificHeatJPerGK,
		heatOfCureJPerG: c.heatOfCureJPerG,
		conductivityWPerMK: c.conductivityWPerMK,
		potLifeConversion: c.potLifeConversion,
		gelConversion: c.gelConversion,
		speed: 1,
		maturityS: 0,
		flexibleShare: c.flexibleShare,
		maturityActivationJPerMol: c.maturityKjPerMol * 1000,
		glassShiftK: 0
	};
}

type Base = Omit<Kinetics, 'k23PerS' | 'inductionPerS'>;

/**
 * Polyester at the sheet's share: its inhibitor goes first, then it cures (chain polymerisation: radicals made ∝
 * catalyst, ended in pairs). The gel time is the sheet's, taken at constant temperature as in ISO 2535.
 */
function catalysedKinetics(record: ParsedCureRecord, base: Base, c: Constants): Kinetics {
	const { referenceGelS, referenceTempC } = record.catalyst!;
	const share = record.inductionShare ?? INDUCTION_SHARE;
	const at23 = 1 / arrhenius(base.activationJPerMol, referenceTempC);
	const k = isothermalKt(base.m, base.n, c.gelConversion) / ((1 - share) * referenceGelS);
	return {
		...base,
		k23PerS: k * at23,
		inductionPerS: share > 0 ? at23 / (share * referenceGelS) : Infinity
	};
}

/** The heat that takes the sheet's cup to its peak exotherm, J/g; as much as a record may have, where none does. */
function heatFromPeak(
	record: ParsedCureRecord,
	c: Constants,
	{ massG, tempC, peakTempC }: { massG: number; tempC: number; peakTempC: number }
): number {
	const missesBy = (logHeat: number) => {
		const model = atSheet(record, { ...c, heatOfCureJPerG: Math.exp(logHeat) });
		return cupPeakC(model, { massG, startTempC: tempC, roomTempC: tempC }) - peakTempC;
	};
	const [lo, hi] = [Math.log(10), Math.log(900)];
	if (missesBy(hi) < 0) return Math.exp(hi);
	if (missesBy(lo) > 0) return Math.exp(lo);
	const root = findRoot(missesBy, lo, hi, 1e-4);
	if (!root.converged) throw new Error('calibrate: the peak exotherm could not be matched');
	return Math.exp(root.x);
}

/** The rate at 23 °C that ends the sheet's pot life at the sheet's time, mass and temperature. */
function potLifeKinetics(record: ParsedCureRecord, base: Base, c: Constants): Kinetics {
	const potLifeS = record.potLifeS!;
	const { potLifeMassG: massG, potLifeTempC: tempC } = record;
	const ends = record.statedAs === 'gel' ? c.gelConversion : c.potLifeConversion;
	const kinetics = (logK: number) => ({ ...base, k23PerS: Math.exp(logK), inductionPerS: Infinity });
	const timeFor = (logK: number) => {
		const model = { ...c, potLifeConversion: ends, kinetics: kinetics(logK) };
		const setup = { massG, startTempC: tempC, roomTempC: tempC };
		return Math.log(Math.min(cupPotLifeS(model, setup, potLifeS * 50), potLifeS * 50) / potLifeS);
	};
	// without any self-heating the rate is highest, with all of it kept in lowest
	const isothermal =
		isothermalKt(base.m, base.n, ends) / (potLifeS * arrhenius(base.activationJPerMol, tempC));
	const hottest = arrhenius(base.activationJPerMol, tempC + base.riseK);
	const floor = (isothermal * arrhenius(base.activationJPerMol, tempC)) / hottest;
	// a cold cup near its glass needs more than the isothermal rate without one
	const root = findRoot(timeFor, Math.log(floor) - 0.01, Math.log(isothermal) + 0.5, 1e-7);
	if (!root.converged) throw new Error('calibrate: the pot life could not be matched');
	return kinetics(root.x);
}

/** What the sheet's demould time wants of a part: a count after gel, and where it must be stiff. */
function wants(
	record: ParsedCureRecord,
	sheet: SheetModel
): Pick<CureModel, 'maturityS' | 'glassShiftK' | 'warnings'> {
	const run = solvePart(
		{ ...sheet, maturityS: Infinity },
		{
			section: { shape: 'slab', thicknessMm: record.demouldSectionMm },
			mouldWallMm: record.sheetWallMm ?? SHEET_MOULD_WALL_MM,
			startTempC: SHEET_TEMP_C,
			mouldTempC: SHEET_TEMP_C,
			roomTempC: SHEET_TEMP_C
		},
		{ watchConversions: [sheet.gelConversion], watchAtS: record.demouldS, horizonS: record.demouldS * 20 }
	);
	const gelS = run.watchedS[0]!;
	const { maturedS, raiseK } = run.atWatch;
	const least = LEAST_MATURITY * gelS;
	if (maturedS >= least) return { maturityS: maturedS, glassShiftK: raiseK, warnings: [] };
	const snappier = record.character === 'gradual' ? 'quick' : 'snap';
	return {
		maturityS: Number.isFinite(least) ? least : record.demouldS,
		glassShiftK: 0,
		warnings: [
			{
				code: 'times-do-not-fit',
				message:
					`A ${record.character} resin with this pot life has only gelled after ${formatTime(gelS)}, so it is not ready ` +
					`after the ${formatTime(record.demouldS)} of the sheet: the two times do not fit this character.`,
				action:
					record.character === 'snap'
						? 'Check both times and the section that the sheet means.'
						: `Try the character "${snappier}".`
			}
		]
	};
}
