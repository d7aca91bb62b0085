import type { MasterRecord } from '../master/master';
import { masterVolumeMl } from '../master/volume';
import type { Warning } from '../working';
import { usualWarnings } from '../shelf/usualWords';
import type { MouldInputs } from './inputs';
import { MOULD_MODULES } from './kinds';
import type { MouldMaterials, MouldPlan } from './planned';

/** The master's own volume is not taken off, because nobody knows it. */
const UPPER_BOUND: Warning = {
	code: 'upper-bound',
	message: 'The volume of the master is not known: this is the most rubber that it can take.',
	action: 'Mix in two goes, and fill the finished mould with water: that tells the volume of one copy.'
};

/**
 * Plans the mould for a master and the materials from the shelf.
 * @param faceTempC hottest that the resin makes the mould's face, for a rigid one
 * @throws InputError at the field with what would do
 * @example
 * const { inputs: typed } = mouldOf('one-piece');
 * planMould(typed, cube, { rubber: blue }).pours[0]?.massG; // 127.6
 */
export function planMould(
	inputs: MouldInputs,
	master: MasterRecord,
	materials: MouldMaterials,
	faceTempC?: number
): MouldPlan {
	const plan = MOULD_MODULES[inputs.kind].plan(inputs, master, materials, faceTempC);
	const said = [
		...(masterVolumeMl(master) === undefined && plan.rubber.massG > 0 ? [UPPER_BOUND] : []),
		...(materials.rubber ? usualWarnings(materials.rubber) : [])
	];
	return said.length > 0 ? { ...plan, warnings: [...plan.warnings, ...said] } : plan;
}
