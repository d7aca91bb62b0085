import type { MasterMaterial } from '../master/materials';
import { isPaintable } from '../shelf/release';
import { chemistryOf } from '../shelf/chemistry';
import type { ResinRecord } from '../shelf/resin';
import type { RubberRecord } from '../shelf/rubber';
import type { Warning } from '../working';
import type { Experience, RigidSource, Thing } from './things';

/** Faces that take up rubber unless they are sealed (common practice, no source). */
const POROUS: readonly MasterMaterial[] = ['wood', 'plaster', 'stone', 'filament print'];
/** What stops an addition cure at the face (common practice, no source). */
const INHIBITING: Readonly<Partial<Record<MasterMaterial, string>>> = {
	'sulphur clay': 'Sulphur in the clay',
	'resin print': 'What is left uncured in a fresh resin print',
	'amine-cured epoxy': 'The amine of the epoxy’s hardener',
	latex: 'Latex',
	'tin-cured rubber': 'The tin of a condensation rubber'
};

/**
 * What may go wrong between a master and a rubber, and what is done about it.
 * @example
 * masterAndRubber('sulphur clay', 'addition')[0]?.code; // 'inhibition'
 */
export function masterAndRubber(
	material: MasterMaterial,
	cureKind: RubberRecord['cureKind'],
	sealed = false
): Warning[] {
	const out: Warning[] = [];
	const inhibitor = INHIBITING[material];
	if (cureKind === 'addition' && inhibitor) {
		out.push({
			code: 'inhibition',
			severity: 'harm',
			message: `${inhibitor} stops a platinum rubber from curing: it stays tacky at the face.`,
			action:
				'Post-cure and wash a print, put a barrier coat on, or take a tin rubber. Always try a small patch first.'
		});
	} else if (cureKind === 'addition' && material === 'other') {
		out.push({
			code: 'trial-patch',
			message:
				'Sulphur, latex, tin-cured rubber, amine-cured epoxy and some lacquers stop a platinum rubber.',
			action: 'Try a small patch first.'
		});
	}
	if (material.endsWith('cured rubber')) {
		out.push({
			code: 'bonds',
			severity: 'harm',
			message: 'Silicone bonds to cured silicone for good.',
			action: 'Take a release that is made for it, not a silicone-oil spray. Try a small patch first.'
		});
	}
	if (POROUS.includes(material) && !sealed) {
		out.push({
			code: 'porous',
			message: `Rubber copies the grain of ${material} and locks into its pores.`,
			action: 'Seal it, then a thin coat of release, buffed.'
		});
	}
	return out;
}

/**
 * What a resin does to a silicone mould over its pulls.
 * @example
 * resinAndMould('clear polyester')[0]?.code; // 'styrene-swells'
 */
export function resinAndMould(family: ResinRecord['family']): Warning[] {
	switch (chemistryOf(family)) {
		case 'polyester':
			return [
				{
					code: 'styrene-swells',
					message: 'Styrene swells the rubber, and the cure is hot: such a mould gives few pulls.',
					action: 'Use a release and let the mould rest between pulls.'
				}
			];
		case 'urethane':
			return [
				{
					code: 'urethane-soaks',
					message:
						'Urethane frees itself from silicone but slowly soaks in and discolours it; damp makes it foam.',
					action: 'Dry, warm mould. A release lengthens its life; a silicone release ruins paint.'
				}
			];
		case 'epoxy':
			return [];
	}
}

/** A resin straight onto a master or into a rigid mould of that material. */
function resinAndMaster(family: ResinRecord['family'], material: MasterMaterial): Warning[] {
	if (material === 'polystyrene' && chemistryOf(family) === 'polyester')
		return [
			{
				code: 'dissolves',
				severity: 'harm',
				message: 'Polyester dissolves polystyrene.',
				action: 'Take polyethylene or silicone.'
			}
		];
	if (material.endsWith('cured rubber')) return resinAndMould(family);
	if (family === 'flexible urethane' && ['filament print', 'resin print', 'cast resin'].includes(material))
		return [
			{
				code: 'sticks',
				message: 'A flexible urethane sticks in a rigid mould.',
				action: 'Release both halves and seal the parting line.'
			}
		];
	if (chemistryOf(family) === 'urethane' && ['plaster', 'wood'].includes(material))
		return [
			{
				code: 'damp',
				message: `${material === 'wood' ? 'Wood' : 'Plaster'} holds water, and water makes urethane foam.`,
				action: 'Dry it, seal it, then release.'
			}
		];
	return [];
}

/** A resin into a rigid mould: a bought one of polyethylene lets go, a print or cast resin does not (common practice, no source). */
function resinAndRigid(family: ResinRecord['family'], source: RigidSource): Warning[] {
	if (source === 'bought') return [];
	const what = source === 'printed' ? 'a printed mould' : 'a mould of rigid resin';
	if (family === 'flexible urethane')
		return [
			{
				code: 'sticks',
				message: `A flexible urethane sticks in ${what}.`,
				action: 'Release both halves and seal the parting line.'
			}
		];
	return [
		{
			code: 'sticks',
			message: `Resin keys into the face of ${what} and may bond to it.`,
			action: 'Seal it smooth, put a release on every face, and try a small patch first.'
		}
	];
}

/** What only a release between keeps from harm: without one the same sentence is a harm. */
const SPARED_BY_RELEASE: readonly string[] = ['sticks'];

/**
 * Warnings of a meeting as they stand without any release between.
 * @example
 * withoutRelease([]); // []
 */
export function withoutRelease(warnings: readonly Warning[]): Warning[] {
	return warnings.map((w) => (SPARED_BY_RELEASE.includes(w.code) ? { ...w, severity: 'harm' } : w));
}

function releaseAndRubber(release: Extract<Thing, { kind: 'release' }>['release']): Warning[] {
	if (release.kind !== 'silicone spray') return [];
	return [
		{
			code: 'oil-is-no-separator',
			message: 'A silicone-oil spray does not keep fresh silicone from bonding to cured silicone.',
			action: 'Between two halves of rubber take a release made for silicone on silicone.'
		}
	];
}

function releaseAndResin(
	release: Extract<Thing, { kind: 'release' }>['release'],
	family: ResinRecord['family']
): Warning[] {
	const out: Warning[] = [];
	if (release.kind === 'silicone spray')
		out.push({
			code: 'ruins-paint',
			message:
				'Silicone release stays on the cast and drifts: paint crawls off it, and off whatever stands nearby.',
			action: 'Never near the painting area; wipe casts with alcohol, or take one that can be painted over.'
		});
	else if (!isPaintable(release))
		out.push({
			code: 'not-paintable',
			message: 'This release stays on the cast and keeps paint off.',
			action: 'Wipe casts with alcohol before painting.'
		});
	if (release.kind === 'barrier coat' && chemistryOf(family) === 'urethane')
		out.push({
			code: 'barrier-bonds',
			message: 'A barrier coat bonds to the cast and becomes its base coat.',
			action: 'Match its colour to the paint; it must be dry before the resin goes in.'
		});
	return out;
}

function thermoplasticAnd(other: Thing): Warning[] {
	if (other.kind === 'resin' && chemistryOf(other.family) !== 'epoxy')
		return [
			{
				code: 'heat-softens',
				message: 'The heat of a fast cure softens a re-meltable mould.',
				action: 'Take a slow, cool epoxy, clamp it and allow 1–3 days; otherwise try a small piece first.'
			}
		];
	if (other.kind === 'thermoplastic')
		return [
			{
				code: 'bonds-hot',
				message: 'It bonds to itself while it is hot.',
				action: 'Let the first half go cold before the second is pressed on, with a separator on the joint.'
			}
		];
	return [];
}

/** A mould that holds water: what is cast in it must not mind (common practice, no source). */
function resinAndWater(family: ResinRecord['family']): Warning[] {
	return [
		{
			code: 'wet-mould',
			message:
				chemistryOf(family) === 'urethane'
					? 'The mould holds water and urethane foams on water.'
					: 'The mould holds water: this resin stays cloudy and soft where it touches it.',
			action: 'Cast plaster or wax in it, or make a mould of rubber.',
			severity: 'harm'
		}
	];
}

/**
 * The rules of the trade for two things, in whatever order they are given (common practice, no source).
 * @example
 * rulesFor(rigidThing('printed'), resinThing('1', { name: 'White', family: 'fast urethane' }))[0]?.code; // 'sticks'
 */
export function rulesFor(a: Thing, b: Thing): Warning[] {
	for (const [x, y] of [
		[a, b],
		[b, a]
	] as const) {
		if (x.kind === 'thermoplastic') return thermoplasticAnd(y);
		if (x.kind === 'master' && y.kind === 'rubber') return masterAndRubber(x.material, y.cureKind, x.sealed);
		if (x.kind === 'rubber' && y.kind === 'resin') return resinAndMould(y.family);
		if (x.kind === 'resin' && y.kind === 'master') return resinAndMaster(x.family, y.material);
		if (x.kind === 'resin' && y.kind === 'wet') return resinAndWater(x.family);
		if (x.kind === 'resin' && y.kind === 'rigid') return resinAndRigid(x.family, y.source);
		if (x.kind === 'release' && y.kind === 'rubber') return releaseAndRubber(x.release);
		if (x.kind === 'release' && y.kind === 'resin') return releaseAndResin(x.release, y.family);
		if (x.kind === 'rubber' && y.kind === 'rubber') {
			// whichever is poured on the other: a platinum one beside tin is the one that suffers
			const poured = x.cureKind === 'addition' || y.cureKind === 'addition' ? 'addition' : 'condensation';
			const tinThere = x.cureKind === 'condensation' || y.cureKind === 'condensation';
			return masterAndRubber(tinThere ? 'tin-cured rubber' : 'platinum-cured rubber', poured);
		}
	}
	return [];
}

/**
 * What the maker found with this very pair, newest last.
 * @example
 * experiencesWith(rigidThing('printed'), thermoplasticThing('1', 'Kettle'), []); // []
 */
export function experiencesWith(a: Thing, b: Thing, all: readonly Experience[]): Experience[] {
	return all.filter(
		(e) => (e.first === a.key && e.second === b.key) || (e.first === b.key && e.second === a.key)
	);
}

/**
 * What to heed when two things meet: the maker's own experience first, then the rules. An own "fine" takes
 * the place of the rules' cautions (they are common practice), never of a harm.
 * @example
 * whatMeets(masterThing('wood'), releaseThing('1', wax)); // []
 */
export function whatMeets(a: Thing, b: Thing, all: readonly Experience[] = []): Warning[] {
	const own = experiencesWith(a, b, all);
	const last = own[own.length - 1];
	const rules = rulesFor(a, b);
	if (!last) return rules;
	const said: Warning = {
		code: `own-${last.verdict.replaceAll(' ', '-')}`,
		message: `Your own experience, ${a.name} with ${b.name}: ${last.verdict}${last.note ? `. ${last.note}` : ''}`,
		action:
			last.verdict === 'fine'
				? 'A new lot deserves a small trial patch all the same.'
				: last.verdict === 'with care'
					? 'Do as you noted, after a small trial patch.'
					: 'Take another material.',
		...(last.verdict === 'never again' ? { severity: 'harm' as const } : {})
	};
	return [said, ...(last.verdict === 'fine' ? rules.filter((w) => w.severity === 'harm') : rules)];
}
