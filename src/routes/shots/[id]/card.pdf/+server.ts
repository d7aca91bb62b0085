import type { Content } from 'pdfmake/interfaces';
import { caution, CAUTION_ORDER } from '$lib/core/cautions';
import { marksOf, type PourPlan } from '$lib/core/plan';
import { benchSteps, parseStepId, type BenchStep } from '$lib/core/bench';
import {
	digits,
	formatDrops,
	formatWeighed,
	formatQuantity,
	formatTime,
	roundedBand,
	textInUnits
} from '$lib/core/units';
import { outlineOfShot } from '$lib/server/faces';
import { addressOf, LOOPBACK_WORDS } from '$lib/server/address';
import { orPage } from '$lib/server/forms';
import { asker } from '$lib/server/heavy/asker';
import { drawnOnPaper, PAGE_SIZES, onPaper, PT_PER_MM } from '$lib/server/paper';
import { sheet } from '$lib/server/printed';
import { partBox, roomToWrite, tickBox } from '$lib/server/paperParts';
import { batchPlans, getShot, type ShotMoved } from '$lib/server/repositories/shots';
import type { RequestHandler } from './$types';

/** What the clock says of a step. */
function whenOf(step: BenchStep, plan: PourPlan): string {
	if (step.deadlineS !== undefined) return `by ${formatTime(step.deadlineS)}`;
	const ref = parseStepId(step.id);
	const bonds = ref?.name === 'gelled' ? `, at most ${formatTime(plan.layers![ref.cup]!.recoatUntilS)}` : '';
	if (step.waitS) return `wait ${formatTime(step.waitS)}${bonds}`;
	if (step.kind === 'cure')
		return `after ${formatTime(plan.demouldS)}${bandWords(plan.demouldBand)}${ownWords(plan.ownDemould)}`;
	return step.kind === 'hold' ? `hold ${formatTime(plan.holdUntilS)}` : '';
}

/** The maker's own repeated time, where there is one. */
const ownWords = (own: PourPlan['ownDemould']) =>
	own ? `; yours ${formatTime(own.lowS)} to ${formatTime(own.highS)}` : '';

/** How sure a time is, in brackets; plans of earlier versions do not say. */
function bandWords(band: PourPlan['potLifeBand']): string {
	if (!band) return '';
	const [low, high] = roundedBand(band.lowS, band.highS);
	return ` (four of five: ${formatTime(low)} to ${formatTime(high)})`;
}

/** Hardened by a catalyst instead of a part B. */
const isCatalysed = (plan: PourPlan) =>
	Boolean(plan.catalyst ?? plan.layers?.[0]?.catalyst ?? plan.cups?.[0]?.catalyst);

/** The pour on paper: amounts in both units, cup marks, steps with their deadlines, cautions, a code to the shot. */
export const GET: RequestHandler = async (event) => {
	const { params, locals, url, platform } = event;
	const address = addressOf(locals.settings, url, platform);
	const shot = await orPage(getShot(params.id));
	const { units, scaleResolutionG } = locals.settings;
	const outline = await outlineOfShot(params.id);
	const weighed = (massG: number) => onPaper(formatWeighed(massG, units, scaleResolutionG));
	const weighedOther = (massG: number) =>
		onPaper(formatWeighed(massG, units === 'us' ? 'metric' : 'us', scaleResolutionG));
	const both = (massG: number) => `${weighed(massG)}  (${weighedOther(massG)})`;
	const show = (v: number, kind: 'length' | 'volume' | 'temperature') =>
		onPaper(formatQuantity(v, kind, units));
	const ownCopies = (p: PourPlan) =>
		p.moulds.reduce((sum, m) => sum + (m.masterName === undefined ? m.copies : 0), 0);
	const plans: PourPlan[] = [];
	let told: ShotMoved | undefined;
	// cups that are alike are printed once
	for (let i = 0; i < shot.planned.shot.batches.length && plans.length < 6; i++) {
		const same = plans.some(
			(p) =>
				p.massG === shot.planned.shot.batches[i]!.massG &&
				ownCopies(p) === shot.planned.shot.batches[i]!.copies
		);
		if (same) continue;
		const { kept, moved } = await orPage(batchPlans(params.id, i, locals.settings));
		plans.push(kept);
		if (moved && !told) told = moved;
	}
	/** A and B as large as on the bench; a cup for each layer or colour has a pair of its own. */
	const amounts = (plan: PourPlan): Content[] =>
		(plan.layers ?? plan.cups ?? [plan]).map((cup, i) => {
			const marks = marksOf(plan, cup);
			const wide = `in a straight cup ${show(marks.wideMm, 'length')} wide`;
			const called = plan.cups ? plan.cups[i]!.name : plan.layers ? `Layer ${i + 1}` : '';
			const box = (letter: 'A' | 'B' | 'Resin', massG: number, markMm: number) =>
				partBox(letter, weighed(massG), [
					weighedOther(massG),
					marks.wideMm > 0 ? `${show(markMm, 'length')} high ${wide}` : ''
				]);
			return {
				unbreakable: true,
				stack: [
					...(called
						? [{ text: called, bold: true, margin: [0, 4, 0, 0] as [number, number, number, number] }]
						: []),
					{
						columns: cup.catalyst
							? [
									box('Resin', cup.a.massG, marks.aMm),
									partBox('Catalyst', formatDrops(cup.catalyst.drops, cup.catalyst.dropsMost), [
										`${digits(cup.catalyst.volumeMl)} ml`
									])
								]
							: [box('A', cup.a.massG, marks.aMm), box('B', cup.b.massG, marks.bMm)],
						columnGap: 10,
						margin: [0, 4, 0, 4]
					}
				]
			};
		});
	const stepRows = (plan: PourPlan): Content => ({
		table: {
			headerRows: 1,
			dontBreakRows: true,
			widths: [12, 16, '*', 92, 62],
			body: [
				['', '', '', '', { text: 'as it was', fontSize: 8, alignment: 'right' }],
				...benchSteps(plan, units).map((s, i) => [
					tickBox(),
					`${i + 1}`,
					{
						text: [
							{
								text: `${onPaper(s.title)}${s.amount ? `: ${weighed(s.amount.massG)}` : ''}. `,
								bold: true,
								fontSize: s.amount ? 13 : 10
							},
							onPaper(s.detail),
							...(s.warnings ?? []).map((w) => ({
								text: onPaper(` ${textInUnits(`${w.message} ${w.action}`, units)}`),
								bold: true
							}))
						]
					},
					{ text: onPaper(whenOf(s, plan)), bold: s.deadlineS !== undefined },
					roomToWrite()
				])
			]
		},
		layout: 'lightHorizontalLines'
	});
	const topics = [...new Set(plans.flatMap((p) => benchSteps(p).flatMap((s) => [...s.cautions])))];
	const first = plans[0]!;
	return sheet(
		{
			pageSize: PAGE_SIZES[locals.settings.paper],
			pageMargins: [12 * PT_PER_MM, 10 * PT_PER_MM, 12 * PT_PER_MM, 10 * PT_PER_MM],
			info: { title: `Shot S${shot.number}` },
			numbered: onPaper(`Shot S${shot.number}, ${first.masterName}`),
			content: [
				{
					columns: [
						{
							width: '*',
							stack: [
								{ text: `S${shot.number}  ${first.masterName}`, fontSize: 20, bold: true },
								{
									text: `${shot.inputs.copies} in ${first.resinName}; resin ${show(shot.inputs.startTempC, 'temperature')}, mould ${show(shot.inputs.mouldTempC, 'temperature')}, room ${show(shot.inputs.roomTempC, 'temperature')}, ${shot.inputs.relativeHumidity} % humidity`
								},
								{
									text: onPaper(
										`Too thick at ${formatTime(first.potLifeS)}${bandWords(first.potLifeBand)} after combining.`
									),
									bold: true,
									margin: [0, 3, 0, 0]
								}
							]
						},
						drawnOnPaper(outline, 62),
						{ qr: `${address.base}/shots/${shot.id}`, fit: 70, width: 75 }
					],
					columnGap: 14
				},
				...(told
					? [
							{
								text: onPaper(
									`As it was kept. By today’s records (${told.records.join(', ') || 'newer sums'}): ${told.refused ?? told.differences.map((d) => `${d.what} ${d.kept}, now ${d.now}`).join('; ')}.`
								),
								bold: true,
								margin: [0, 6, 0, 0] as [number, number, number, number]
							}
						]
					: []),
				...plans.flatMap((plan): Content[] => [
					{
						text: `${plans.length > 1 ? `Cup with ${plan.moulds.reduce((s, m) => s + m.copies, 0)}: ` : ''}${plan.moulds.map((m) => `M${m.number}${m.copies > 1 ? ` ×${m.copies}` : ''}`).join(', ')}`,
						margin: [0, 8, 0, 0]
					},
					...amounts(plan),
					...(plan.fillers ?? []).map((f) => ({
						text: `${f.name} into ${isCatalysed(plan) ? 'the resin' : 'B'}: ${both(f.massG)}, ${show(f.volumeMl, 'volume')} in the mix`
					})),
					...(plan.colours ?? []).map((c) => ({
						text: `${c.name} into ${isCatalysed(plan) ? 'the resin' : c.part}: ${c.drops === undefined ? '' : `${formatDrops(c.drops)}, `}${both(c.massG)}`
					})),
					stepRows(plan)
				]),
				{ text: topics.map((t) => caution(t)).join(' '), fontSize: 8.5, margin: [0, 8, 0, 0] },
				{ text: CAUTION_ORDER, fontSize: 8.5, italics: true },
				...(address.loopback ? [{ text: LOOPBACK_WORDS, fontSize: 8 }] : [])
			]
		},
		`shot-${shot.number}.pdf`,
		asker(event)
	);
};
