import { vacuum, type VacuumPlan } from '../pressurePot';
import type { WorkshopSettings } from '../workshop';
import type { MouldInputs } from './inputs';
import { MOULD_MODULES } from './kinds';
import type { MouldMaterials, MouldPlan } from './planned';
import { digits } from '../units';
import type { Warning } from '../working';
import { DEGAS_RISE } from './block';
import { splitMixes, type Mixes } from './mixes';

type Gear = Pick<
	WorkshopSettings,
	'scaleCapacityG' | 'mixingCupMl' | 'vacuumVesselMl' | 'vacuumChamberL' | 'vacuumPumpLPerMin' | 'vacuumKpa'
>;

/**
 * Vacuum for the largest mix of a mould with the workshop's gear; nothing without vacuum.
 * @example
 * vacuumOf(mouldOf('one-piece').plan, 'none', WORKSHOP_DEFAULTS); // undefined
 */
export function vacuumOf(
	plan: Pick<MouldPlan, 'kind' | 'pours'>,
	degas: MouldInputs['degas'],
	gear: Gear
): VacuumPlan | undefined {
	const largestMl = Math.max(0, ...plan.pours.map((p) => p.volumeMl));
	if (degas !== 'vacuum' || largestMl === 0 || !MOULD_MODULES[plan.kind].degassed) return undefined;
	return vacuum({
		mixVolumeMl: Math.min(largestMl, gear.vacuumVesselMl / DEGAS_RISE),
		vesselMl: gear.vacuumVesselMl,
		chamberL: gear.vacuumChamberL,
		pumpLPerMin: gear.vacuumPumpLPerMin,
		targetKpa: gear.vacuumKpa
	});
}

/**
 * Each pour of a mould in mixes that the workshop's scale, cup and vessel take.
 * @throws InputError at the rubber when one mix takes longer than it is workable
 * @example
 * mixingOf(mouldOf('one-piece').plan, { rubber: blue }, 'none', WORKSHOP_DEFAULTS).mixes[0]?.count; // 1
 */
export function mixingOf(
	plan: MouldPlan,
	materials: MouldMaterials,
	degas: MouldInputs['degas'],
	gear: Gear
): { mixes: Mixes[]; vacuum: VacuumPlan | undefined } {
	const air = vacuumOf(plan, degas, gear);
	const { rubber } = materials;
	if (!rubber || plan.pours.length === 0) return { mixes: [], vacuum: air };
	const largestMl = Math.max(...plan.pours.map((p) => p.volumeMl));
	const small =
		air && largestMl > gear.vacuumVesselMl / DEGAS_RISE
			? [vesselWarning(largestMl, gear.vacuumVesselMl)]
			: [];
	const mixed = plan.pours.map((p) =>
		splitMixes({
			massG: p.massG,
			densityGPerMl: rubber.densityGPerMl,
			scaleCapacityG: gear.scaleCapacityG,
			cupMl: gear.mixingCupMl,
			...(air ? { vesselMl: gear.vacuumVesselMl, vacuumS: air.takesS } : {}),
			workingTimeS: plan.workingTimeS
		})
	);
	return {
		mixes: mixed.map((m, i) => (i === 0 ? { ...m, warnings: [...small, ...m.warnings] } : m)),
		vacuum: air
	};
}

/** A vessel that does not take the largest pour at once, with the one that would. */
function vesselWarning(pourMl: number, vesselMl: number): Warning {
	return {
		code: 'vessel-too-small',
		message: `It rises to ${DEGAS_RISE} times its volume: a vessel of ${digits(vesselMl)} ml takes ${digits(vesselMl / DEGAS_RISE)} ml at a time, and the pour has ${digits(pourMl)} ml.`,
		action: `A vessel of ${digits(Math.ceil((DEGAS_RISE * pourMl) / 100) * 100)} ml takes it at once.`
	};
}
