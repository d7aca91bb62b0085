import { calculation } from '../../../calculation';
import { LARGE_MM, yes } from '../../chooserInput';
import { OF_RUBBER } from '../block/module';
import { RUBBER_EXAMPLE } from '../example';
import { CUP_LOSS, ROOM } from '../fields';
import type { MouldModule } from '../module';
import { drawJacket } from './draw';
import type { MouldInputs } from '../../inputs';
import { jacketInput, planJacket, PRINTED_BANDS, SHELL_SET_S } from './jacket';
import { planAsJacket } from './plan';
import { jacketSteps } from './steps';
import { jacketWords } from './words';

/** Smaller than this, a block is less work, mm (common practice, no source). */
const SMALL_MM = 70;

/** Brushed and laid by hand; a printed support is poured into. */
const laid = (m: Pick<MouldInputs, 'shellKind'>) => m.shellKind !== 'printed';

/** A brushed skin of rubber in a rigid shell. */
export const jacket: MouldModule = {
	...OF_RUBBER,
	words: jacketWords,
	glyph: {
		rubber: 'M12 27Q11 5 24 5Q37 5 36 27Z',
		hollow: 'M17 27Q16 10 24 10Q32 10 31 27Z',
		seam: 'M4 27H12M36 27H44M24 1V5'
	},
	fields: [
		{
			name: 'shellKind',
			label: 'Shell of',
			as: 'choice',
			options: [
				{ value: 'resin', label: 'thickened resin' },
				{ value: 'plaster', label: 'plaster bandage' },
				{ value: 'printed', label: 'printed support' }
			]
		},
		{ name: 'shellResinId', label: 'Resin of the shell', as: 'resin', when: (m) => m.shellKind === 'resin' },
		{
			name: 'shellFillerId',
			label: 'Thickened with',
			as: 'filler',
			when: (m) => m.shellKind === 'resin' && m.shellResinId !== ''
		},
		{
			name: 'areaMm2',
			label: 'Area',
			as: 'quantity',
			quantity: 'area',
			hint: ({ inputs, areaFromFile }) =>
				inputs.areaMm2 !== undefined ? 'as typed' : areaFromFile ? 'from its 3D file' : 'from its outer sizes'
		},
		{ name: 'skinMm', label: 'Skin', as: 'quantity', quantity: 'length' },
		{
			name: 'coats',
			label: 'Coats',
			as: 'quantity',
			quantity: 'number',
			when: laid,
			hint: () => 'the first one thin'
		},
		{
			name: 'thickenerPercentOfB',
			when: laid,
			label: 'Thickener, of B',
			as: 'quantity',
			quantity: 'percent',
			hint: () => 'by weight, into B first'
		},
		{ name: 'shellMm', label: 'Shell', as: 'quantity', quantity: 'length' },
		{ name: 'shellParts', label: 'In parts', as: 'quantity', quantity: 'number' },
		{ name: 'flangeMm', label: 'Flange', as: 'quantity', quantity: 'length', when: laid },
		{ name: 'boltEveryMm', label: 'A bolt every', as: 'quantity', quantity: 'length', when: laid },
		CUP_LOSS,
		ROOM
	],
	asksForSprue: false,
	refusesResin: '',
	mindsUndercuts: false,
	closing: 'bolts',
	handsS: 18_000,
	plan: planAsJacket,
	draw: drawJacket,
	reachMm(inputs, _plan, master) {
		const around = inputs.skinMm + inputs.shellMm;
		return Math.max(master.lengthMm + 2 * (around + inputs.flangeMm), master.heightMm + around);
	},
	wall: (inputs) => ({ mm: inputs.skinMm + inputs.shellMm, of: 'silicone' }),
	degassed: false,
	cautions: (_inputs, plan) => [
		'silicone',
		...(plan.pours.some((p) => p.thickenerG) || plan.jacket?.recipe?.thickenerG ? ['powder' as const] : []),
		...(plan.jacket?.shell.kind === 'resin' ? ['bulk' as const] : [])
	],
	opening: (_inputs, plan) =>
		plan.jacket!.shell.kind === 'printed'
			? `${PRINTED_BANDS} bands off, the support apart; the skin peels off like a glove.`
			: `Shell in ${plan.jacket!.shell.parts} parts with ${plan.jacket!.shell.bolts} bolts; the skin peels off like a glove.`,
	judge(r, c) {
		if (c.largest < SMALL_MM) r.care.push(`under ${SMALL_MM} mm a block is less work`);
		if (yes(c.fragile)) r.good.push('brushed on: no weight on a fragile master');
		r.good.push(
			c.largest > LARGE_MM || yes(c.hollow)
				? 'least rubber for large and hollow work'
				: 'takes little rubber, and peels off almost anything'
		);
		if (yes(c.metalSkin) && c.lock !== 'deep') r.good.push('a glove that peels off has no seam');
		else if (yes(c.metalSkin)) r.care.push('a seam in the skin shows in a metal cast');
	},
	steps: jacketSteps,
	making(_inputs, plan) {
		const { recipe, plaster, shell } = plan.jacket!;
		const { kind, parts, massG, layers, bolts } = shell;
		return {
			shell: {
				kind,
				parts,
				setS: SHELL_SET_S[kind],
				massEachG: massG / parts,
				layers,
				bolts,
				...(recipe ? { recipe } : {}),
				...(plaster ? { plaster: { powderG: plaster.powderG / parts, waterG: plaster.waterG / parts } } : {})
			}
		};
	},
	settingS(plan) {
		// the last coat cures out before the shell; the shell's own times come after it
		const between = plan.pours.length > 1 ? plan.pours[1]!.startS : 0;
		const shellS = plan.jacket!.shell.parts * SHELL_SET_S[plan.jacket!.shell.kind];
		const lastS = plan.readyInS - shellS - (plan.pours.length - 1) * between;
		return plan.pours.map((_, i) => (i < plan.pours.length - 1 ? between : lastS));
	},
	calculation: calculation(
		'mould-jacket',
		'Coats of rubber, and the shell round them.',
		jacketInput,
		{
			master: { footprint: 'round', lengthMm: 180, widthMm: 180, heightMm: 260 },
			skinMm: 8,
			coats: 4,
			rubber: RUBBER_EXAMPLE,
			roomTempC: 21,
			lossPercent: 6
		},
		(_input, raw) => planJacket(raw)
	)
};
