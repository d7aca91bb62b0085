import { findRoot } from '../numeric/findRoot';
import { formatTime } from '../units';
import { CUP_LOSS_W_PER_M2K, crossing, integrateCup, standardCupAreaM2, type CupSetup } from './cupModel';
import { arrhenius, isothermalKt, type Kinetics } from './kinetics';
import type { CureModel } from './model';
import { solvePart } from './partModel';
import {
	CHARACTERS,
	cureRecord,
	CURE_DEFAULTS,
	INDUCTION_SHARE,
	type CureRecord,
	type ParsedCureRecord
} from './record';

/** Demould conversions that a stated time may mean (models of the trade put firmness there). */
export const DEMOULD_CONVERSION = { low: 0.6, high: 0.85 } as const;
/** The slab and mould in which a sheet's demould time is taken to be stated. */
export const SHEET_MOULD_WALL_MM = 10;
export const SHEET_TEMP_C = 23;

const MEMO = new Map<string, CureModel>();
const MEMO_SIZE = 64;

/**
 * Makes both figures of a data sheet come back exactly: the rate from the pot life in its cup
 * (ASTM D2471: time in a stated mass), the demould conversion from the demould time of its slab.
 * Remembers the last records; same record, same model.
 * @throws ZodError for a record out of range.
 */
export function calibrate(raw: CureRecord): CureModel {
	const key = JSON.stringify(raw);
	const known = MEMO.get(key);
	if (known) return known;
	const model = calibrateNow(cureRecord.parse(raw));
	if (MEMO.size >= MEMO_SIZE) MEMO.delete(MEMO.keys().next().value!);
	MEMO.set(key, model);
	return model;
}

const CONSTANTS = [
	'densityGPerMl',
	'heatOfCureJPerG',
	'activationKjPerMol',
	'specificHeatJPerGK',
	'potConversion',
	'gelConversion',
	'conductivityWPerMK'
] as const;

function calibrateNow(record: ParsedCureRecord): CureModel {
	const defaults = CURE_DEFAULTS[record.chemistry];
	const pick = (name: (typeof CONSTANTS)[number]) => record[name] ?? defaults[name];
	const base = {
		...CHARACTERS[record.character],
		activationJPerMol: pick('activationKjPerMol') * 1000,
		riseK: pick('heatOfCureJPerG') / pick('specificHeatJPerGK')
	};
	const shell = {
		densityGPerMl: pick('densityGPerMl'),
		specificHeatJPerGK: pick('specificHeatJPerGK'),
		heatOfCureJPerG: pick('heatOfCureJPerG'),
		conductivityWPerMK: pick('conductivityWPerMK'),
		potConversion: pick('potConversion'),
		gelConversion: pick('gelConversion'),
		defaulted: CONSTANTS.filter((name) => record[name] === undefined)
	};
	const kinetics = record.catalyst
		? catalysedKinetics(record, base, shell.gelConversion)
		: { ...base, k23PerS: potLifeRate(record, base, shell), inductionPerS: Infinity };
	// the sheet's demould time belongs to the sheet's catalyst share
	const sheetKinetics = record.catalyst
		? catalysedKinetics(
				{ ...record, catalyst: { ...record.catalyst, percent: record.catalyst.referencePercent } },
				base,
				shell.gelConversion
			)
		: kinetics;
	const speed = (record.rateFactor ?? 1) / (1 + (record.lengtheningPercent ?? 0) / 100);
	const own = {
		...kinetics,
		k23PerS: kinetics.k23PerS * speed,
		inductionPerS: kinetics.inductionPerS * speed
	};
	return { kinetics: own, ...shell, ...demouldPoint(record, { ...shell, kinetics: sheetKinetics }) };
}

type Base = Omit<Kinetics, 'k23PerS' | 'inductionPerS'>;
type Shell = Omit<CureModel, 'kinetics' | 'demouldConversion' | 'demouldRestS' | 'warnings'>;

/**
 * Polyester: the inhibitor goes at a rate proportional to the catalyst, then k ∝ √catalyst
 * (chain polymerisation: radicals made ∝ catalyst, ended in pairs). The gel time is the sheet's,
 * taken at constant temperature as in ISO 2535.
 */
function catalysedKinetics(record: ParsedCureRecord, base: Base, gelConversion: number): Kinetics {
	const { percent, referencePercent, referenceGelS, referenceTempC } = record.catalyst!;
	const share = record.inductionShare ?? INDUCTION_SHARE;
	const at23 = 1 / arrhenius(base.activationJPerMol, referenceTempC);
	const strength = percent / referencePercent;
	const k = isothermalKt(base.m, base.n, gelConversion) / ((1 - share) * referenceGelS);
	return {
		...base,
		k23PerS: k * at23 * Math.sqrt(strength),
		inductionPerS: share > 0 ? (at23 * strength) / (share * referenceGelS) : Infinity
	};
}

/** The rate at 23 °C that ends the sheet's pot life at the sheet's time, mass and temperature. */
function potLifeRate(record: ParsedCureRecord, base: Base, shell: Shell): number {
	const potLifeS = record.potLifeS!;
	const timeFor = (logK: number) => {
		const setup: CupSetup = {
			kinetics: { ...base, k23PerS: Math.exp(logK), inductionPerS: Infinity },
			massG: record.potLifeMassG,
			densityGPerMl: shell.densityGPerMl,
			specificHeatJPerGK: shell.specificHeatJPerGK,
			startTempC: record.potLifeTempC,
			roomTempC: record.potLifeTempC,
			areaM2: standardCupAreaM2(record.potLifeMassG, shell.densityGPerMl),
			lossWPerM2K: CUP_LOSS_W_PER_M2K
		};
		let reachedS = Infinity;
		integrateCup(setup, potLifeS * 50, (step) => {
			if (step.y1[0]! < shell.potConversion) return false;
			reachedS = crossing(step, 0, shell.potConversion);
			return true;
		});
		return Math.log(Math.min(reachedS, potLifeS * 50) / potLifeS);
	};
	// without any self-heating the rate is highest, with all of it kept in lowest
	const isothermal =
		isothermalKt(base.m, base.n, shell.potConversion) /
		(potLifeS * arrhenius(base.activationJPerMol, record.potLifeTempC));
	const hottest = arrhenius(base.activationJPerMol, record.potLifeTempC + base.riseK);
	const floor = (isothermal * arrhenius(base.activationJPerMol, record.potLifeTempC)) / hottest;
	const root = findRoot(timeFor, Math.log(floor) - 0.01, Math.log(isothermal) + 0.01, 1e-7);
	if (!root.converged) throw new Error('calibrate: the pot life could not be matched');
	return Math.exp(root.x);
}

/** What "demould" means for this resin: a conversion, and a rest when the model is there too soon. */
function demouldPoint(
	record: ParsedCureRecord,
	model: Shell & { kinetics: Kinetics }
): Pick<CureModel, 'demouldConversion' | 'demouldRestS' | 'warnings'> {
	const { low, high } = DEMOULD_CONVERSION;
	const sheet = {
		section: { shape: 'slab' as const, thicknessMm: record.demouldSectionMm },
		mouldWallMm: SHEET_MOULD_WALL_MM,
		startTempC: SHEET_TEMP_C,
		mouldTempC: SHEET_TEMP_C,
		roomTempC: SHEET_TEMP_C
	};
	const run = solvePart({ ...model, demouldConversion: high, demouldRestS: 0 }, sheet, {
		watchConversions: [low],
		watchAtS: record.demouldS
	});
	if (run.demouldS <= record.demouldS) {
		return { demouldConversion: high, demouldRestS: run.restAtWatchS, warnings: [] };
	}
	const slowest = run.slowestConversionAtWatch;
	if (slowest >= low) return { demouldConversion: slowest, demouldRestS: 0, warnings: [] };
	const snappier = record.character === 'gradual' ? 'quick' : 'snap';
	return {
		demouldConversion: low,
		demouldRestS: 0,
		warnings: [
			{
				code: 'times-do-not-fit',
				message:
					`A ${record.character} resin with this pot life is firm after ${formatTime(run.watchedS[0]!)}, ` +
					`not after the ${formatTime(record.demouldS)} of the sheet: the two times do not fit this character.`,
				action:
					record.character === 'snap'
						? 'Check both times and the section that the sheet means.'
						: `Try the character "${snappier}".`
			}
		]
	};
}
