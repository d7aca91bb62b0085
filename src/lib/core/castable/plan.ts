import { budget } from '../budget';
import { plasterParts } from '../mix';
import { CASTABLE_USUAL, type CastableRecord } from '../shelf';
import { digits, formatTime } from '../units';
import { InputError, type Warning, type WorkingLine } from '../working';
import type { CastableInputs } from './inputs';

/** A mould as far as plaster, wax and soap ask for it. */
export interface CastableMould {
	/** M7, as people say it. */
	name: string;
	cavities: number;
	/** The hottest that its face stands, °C; nothing where nobody wrote it down. */
	mostTempC?: number | undefined;
}

/** What is known of the cast besides what was typed. */
export interface CastableContext {
	volumeMl: number;
	moulds: readonly CastableMould[];
	marginPercent: number;
	scaleResolutionG: number;
	scaleCapacityG: number;
}

/** What is weighed: powder and water of a plaster, or the block that is melted. */
export interface CastablePlan {
	volumeMl: number;
	massG: number;
	powderG?: number;
	waterG?: number;
	/** Of a melt, what is kept hot to top up, g. */
	topUpG?: number;
	workS: number;
	demouldS: number;
	steps: { name: string; durationS: number; role: 'mix' | 'pour' | 'tap' }[];
	usableS: number;
	slackS: number;
	/** Copies of one bowl that there is time for; nothing where not even one is. */
	copiesInTime: number;
	/** What the material of one copy costs; nothing where it has no price. */
	costPerCopy?: number;
	working: WorkingLine[];
	warnings: Warning[];
}

const isPlaster = (r: CastableRecord) => r.sort === 'plaster';

/** The steps against which it stops running, for so many copies. */
function stepsFor(
	record: CastableRecord,
	i: Pick<CastableInputs, 'mixS' | 'pourS' | 'tapS'>,
	copies: number
): CastablePlan['steps'] {
	return isPlaster(record)
		? [
				{ name: 'Sift, soak, stir', durationS: i.mixS, role: 'mix' },
				{ name: 'Pour', durationS: i.pourS * copies, role: 'pour' },
				{ name: 'Tap the air out', durationS: i.tapS * copies, role: 'tap' }
			]
		: [{ name: 'Pour', durationS: i.pourS * copies, role: 'pour' }];
}

/**
 * What a cast of plaster, wax or soap takes, and whether there is time for it. There is no cure engine for it: its
 * times are those of its record.
 * @throws InputError at `copies` when the moulds do not hold them
 * @example
 * planCastable(
 *   { materialId: 'p', masterId: 'm', mouldIds: ['1'], copies: 1, sprueVolumeMl: 0, lossPercent: 0, mixS: 180, pourS: 20, tapS: 15 },
 *   castableRecord.parse({ name: 'Bag', sort: 'plaster', waterPerPowder: 0.6, workS: 600, demouldS: 2400 }),
 *   { volumeMl: 100, moulds: [{ name: 'M1', cavities: 1 }], marginPercent: 15, scaleResolutionG: 1, scaleCapacityG: 5000 }
 * ).powderG; // 103.916
 */
export function planCastable(
	inputs: CastableInputs,
	record: CastableRecord,
	context: CastableContext
): CastablePlan {
	const cavities = context.moulds.reduce((sum, m) => sum + m.cavities, 0);
	if (inputs.copies > cavities)
		throw new InputError(
			['copies'],
			`The chosen moulds hold ${cavities} at once: pour ${cavities === 1 ? 'one' : cavities}, and then again.`
		);
	const volumeMl = inputs.copies * (context.volumeMl + inputs.sprueVolumeMl) * (1 + inputs.lossPercent / 100);
	const { amounts, lines } = isPlaster(record) ? plasterOf(record, volumeMl) : meltOf(record, volumeMl);
	const steps = stepsFor(record, inputs, inputs.copies);
	const budgetOf = (of: CastablePlan['steps']) =>
		budget({
			steps: of.map(({ name, durationS }) => ({ name, durationS })),
			potLifeS: record.workS,
			marginPercent: context.marginPercent
		});
	const time = budgetOf(steps);
	const fits = (copies: number) => budgetOf(stepsFor(record, inputs, copies)).fits;
	let copiesInTime = inputs.copies;
	while (copiesInTime > 0 && !fits(copiesInTime)) copiesInTime--;
	const plan = {
		volumeMl,
		...amounts,
		workS: record.workS,
		demouldS: record.demouldS,
		steps,
		usableS: time.usableS,
		slackS: time.slackS,
		copiesInTime,
		...(record.pricePerKg === undefined
			? {}
			: {
					costPerCopy: ((amounts.powderG ?? amounts.massG) * record.pricePerKg) / 1000 / inputs.copies
				}),
		working: [
			{
				what: 'In the bowl',
				sum: `${inputs.copies} × (${digits(context.volumeMl)} + ${digits(inputs.sprueVolumeMl)}) ml × ${digits(1 + inputs.lossPercent / 100)}`,
				result: `${digits(volumeMl)} ml`
			},
			...lines,
			...time.working
		]
	};
	return { ...plan, warnings: warningsOf(plan, inputs, record, context) };
}

type Amounts = Pick<CastablePlan, 'massG' | 'powderG' | 'waterG' | 'topUpG'>;

function plasterOf(record: CastableRecord, volumeMl: number): { amounts: Amounts; lines: WorkingLine[] } {
	const { powderG, waterG } = plasterParts(volumeMl, record.waterPerPowder);
	return {
		amounts: { massG: powderG + waterG, powderG, waterG },
		lines: [
			{
				what: 'Powder',
				sum: `${digits(volumeMl)} ml ÷ (1 ÷ 2.76 + ${digits(record.waterPerPowder!)})`,
				result: `${digits(powderG)} g`,
				source: 'powder and water keep their volumes; 2.76 g/ml for the mineral: from memory'
			},
			{
				what: 'Water',
				sum: `${digits(powderG)} g × ${digits(record.waterPerPowder!)}`,
				result: `${digits(waterG)} g`,
				source: 'the ratio of its bag'
			}
		]
	};
}

function meltOf(record: CastableRecord, volumeMl: number): { amounts: Amounts; lines: WorkingLine[] } {
	const usual = CASTABLE_USUAL[record.sort as keyof typeof CASTABLE_USUAL];
	const density = record.densityGPerMl ?? usual.densityGPerMl;
	const topUpPercent = record.topUpPercent ?? usual.topUpPercent;
	const massG = volumeMl * density;
	return {
		amounts: { massG, topUpG: (massG * topUpPercent) / 100 },
		lines: [
			{
				what: 'To melt',
				sum: `${digits(volumeMl)} ml × ${digits(density)} g/ml`,
				result: `${digits(massG)} g`,
				source: record.densityGPerMl === undefined ? 'usual for its kind, from memory' : 'its record'
			},
			{
				what: 'Kept to top up',
				sum: `${digits(massG)} g × ${digits(topUpPercent)} %`,
				result: `${digits((massG * topUpPercent) / 100)} g`,
				source:
					record.topUpPercent === undefined ? 'usual for its kind; common practice, no source' : 'its record'
			}
		]
	};
}

function warningsOf(
	plan: Omit<CastablePlan, 'warnings'>,
	inputs: CastableInputs,
	record: CastableRecord,
	{ moulds, scaleResolutionG, scaleCapacityG }: CastableContext
): Warning[] {
	const warnings: Warning[] = [];
	if (plan.slackS < 0)
		warnings.push({
			code: 'too-slow',
			message: `It pours for ${formatTime(record.workS)}, and what is to do leaves it ${formatTime(-plan.slackS)} short.`,
			action:
				plan.copiesInTime > 0
					? `Mix for ${plan.copiesInTime} ${plan.copiesInTime === 1 ? 'copy' : 'copies'} at once.`
					: 'Even one copy does not fit: a slower material, a second pair of hands, or a smaller piece.',
			severity: 'harm'
		});
	const shy = moulds.filter(
		(m) => record.pourTempC !== undefined && (m.mostTempC ?? Infinity) < record.pourTempC
	);
	if (shy.length > 0)
		warnings.push({
			code: 'too-hot-for-mould',
			message: `${shy.map((m) => `${m.name} stands ${digits(m.mostTempC!, 0)} °C`).join(', ')}, and this is poured at ${digits(record.pourTempC!, 0)} °C.`,
			action: 'Pour it as cool as it still runs, or take another mould.',
			severity: 'harm'
		});
	const unknown = moulds.filter((m) => record.pourTempC !== undefined && m.mostTempC === undefined);
	if (unknown.length > 0)
		warnings.push({
			code: 'heat-not-known',
			message: `How hot ${unknown.map((m) => m.name).join(', ')} may get is not known.`,
			action:
				'Look it up on the sheet of the rubber and write it on the shelf; until then pour it as cool as it still runs.'
		});
	const smallest = Math.min(plan.powderG ?? plan.massG, plan.waterG ?? Infinity);
	if (smallest < 20 * scaleResolutionG)
		warnings.push({
			code: 'small-for-scale',
			message: `${digits(smallest)} g on a scale of ${digits(scaleResolutionG)} g: off by up to ${digits((100 * scaleResolutionG) / 2 / smallest, 0)} %.`,
			action: 'Mix more than it takes, or take a finer scale.'
		});
	if (plan.massG > scaleCapacityG)
		warnings.push({
			code: 'over-the-scale',
			message: `${digits(plan.massG)} g is more than the scale carries (${digits(scaleCapacityG)} g).`,
			action: 'Weigh it in parts.'
		});
	return warnings;
}
