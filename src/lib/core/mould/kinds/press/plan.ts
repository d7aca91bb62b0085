import { masterVolumeMl, type MasterRecord } from '../../../master/master';
import { cavityVolumeMl, type Cavity } from '../../block';
import { boardsFor } from '../../boxing';
import { keysFor } from '../../details';
import { NO_THERMOPLASTIC, type MouldInputs } from '../../inputs';
import { sizeOf, wanted, type MouldMaterials, type MouldPlan } from '../../planned';
import { planPress } from './press';

/** Two pressed halves round a master. @throws InputError when no thermoplastic is chosen */
export function planAsPress(inputs: MouldInputs, master: MasterRecord, materials: MouldMaterials): MouldPlan {
	const material = wanted(materials.thermoplastic, 'thermoplasticId', NO_THERMOPLASTIC);
	const plan = planPress({
		master: sizeOf(master),
		masterVolumeMl: masterVolumeMl(master),
		clearanceMm: inputs.clearanceMm,
		coverMm: inputs.coverMm,
		partingMm: inputs.partingMm ?? master.heightMm / 2,
		material: {
			densityGPerMl: material.densityGPerMl,
			softenTempC: material.softenTempC,
			coolS: material.coolS
		},
		roomTempC: inputs.roomTempC
	});
	const cavity = plan.cavity as Extract<Cavity, { shape: 'box' }>;
	return {
		kind: 'press',
		rubber: plan.rubber,
		a: { massG: 0 },
		b: { massG: 0 },
		pours: [
			{ name: 'First half, on the clay', ...plan.first, startS: 0 },
			{ name: 'Second half, on the cold first', ...plan.second, startS: plan.readyInS / 2 }
		],
		grossVolumeMl: cavityVolumeMl(cavity),
		netVolumeMl: plan.netVolumeMl,
		degasVesselMl: 0,
		readyInS: plan.readyInS,
		workingTimeS: 0,
		working: plan.working,
		warnings: plan.warnings,
		cavity,
		partingMm: plan.partingMm,
		clay: plan.clay,
		first: plan.first,
		second: plan.second,
		cutList: boardsFor(cavity, inputs.boardMm),
		keys: keysFor(cavity.lengthMm, cavity.widthMm, inputs.clearanceMm, false)
	};
}
