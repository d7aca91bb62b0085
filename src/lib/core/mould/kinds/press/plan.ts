import type { MasterRecord } from '../../../master/master';
import { displacedMl } from '../../../master/volume';
import { cavityVolumeMl, type Cavity } from '../../block';
import { brickCourses } from '../../boxing';
import { gridFor } from '../../cavities';
import { keysFor } from '../../details';
import { NO_THERMOPLASTIC, type MouldInputs } from '../../inputs';
import { sizeOf, wanted, type MouldMaterials, type MouldPlan } from '../../planned';
import { cutList } from '../block/plan';
import { planPress } from './press';

/** Two pressed halves round a master. @throws InputError when no thermoplastic is chosen */
export function planAsPress(inputs: MouldInputs, master: MasterRecord, materials: MouldMaterials): MouldPlan {
	const material = wanted(materials.thermoplastic, 'thermoplasticId', NO_THERMOPLASTIC);
	const shape = inputs.shape === 'bricks' ? 'bricks' : 'box';
	const grid = gridFor(inputs.cavities, sizeOf(master), inputs.gapMm, shape, inputs.clearanceMm);
	const bricks = { pitchMm: inputs.brickPitchMm, heightMm: inputs.brickHeightMm };
	const courses =
		shape === 'bricks' ? brickCourses(grid.size, inputs.clearanceMm, 2 * inputs.coverMm, bricks, []) : [];
	const [course] = courses;
	const plan = planPress({
		master: grid.size,
		masterVolumeMl: inputs.cavities * displacedMl(master),
		...(course ? { inside: { lengthMm: course.lengthMm, widthMm: course.widthMm } } : {}),
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
		grid,
		...(course ? { brickUnits: courses.reduce((sum, c) => sum + c.units, 0) } : {}),
		partingMm: plan.partingMm,
		clay: plan.clay,
		first: plan.first,
		second: plan.second,
		cutList: cutList({ ...inputs, shape }, cavity),
		keys: keysFor(cavity.lengthMm, cavity.widthMm, inputs.clearanceMm, false)
	};
}
