import type { MasterRecord } from '../../../master/master';
import { displacedMl } from '../../../master/volume';
import type { MouldInputs } from '../../inputs';
import { sizeOf, type MouldPlan } from '../../planned';
import { planRigid } from './rigid';

/** A rigid mould round a master. @param faceTempC hottest that the resin makes its face */
export function planAsRigid(
	inputs: MouldInputs,
	master: MasterRecord,
	faceTempC: number | undefined
): MouldPlan {
	const plan = planRigid({
		master: sizeOf(master),
		masterVolumeMl: displacedMl(master),
		source: inputs.rigidSource,
		parts: inputs.rigidParts,
		wallMm: inputs.rigidWallMm,
		infillPercent: inputs.infillPercent,
		...(inputs.softensC === undefined ? {} : { softensC: inputs.softensC }),
		...(faceTempC === undefined ? {} : { faceTempC })
	});
	const { outerMm, material, seamMm, putty, bands } = plan;
	return {
		kind: 'rigid',
		rubber: { volumeMl: 0, massG: 0 },
		a: { massG: 0 },
		b: { massG: 0 },
		pours: [],
		grossVolumeMl: 0,
		netVolumeMl: 0,
		degasVesselMl: 0,
		readyInS: 0,
		workingTimeS: 0,
		working: plan.working,
		warnings: plan.warnings,
		rigid: { outerMm, material, seamMm, putty, bands }
	};
}
