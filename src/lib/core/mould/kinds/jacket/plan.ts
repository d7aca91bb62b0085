import type { MasterRecord } from '../../../master/master';
import { plasterParts } from '../../../mix';
import { rubberForBlock } from '../../../shelf/rubber';
import { base } from '../../boxing';
import { NO_RUBBER, type MouldInputs } from '../../inputs';
import { sizeOf, wanted, type MouldMaterials, type MouldPlan } from '../../planned';
import { planJacket } from './jacket';
import { shellRecipe } from './shellRecipe';

/** Coats and shell round a master, by its skin. @throws InputError when no rubber is chosen */
export function planAsJacket(
	inputs: MouldInputs,
	master: MasterRecord,
	materials: MouldMaterials
): MouldPlan {
	const record = wanted(materials.rubber, 'rubberId', NO_RUBBER);
	const areaMm2 = inputs.areaMm2 ?? master.shape?.findings.skinAreaMm2;
	const plan = planJacket({
		master: sizeOf(master),
		...(areaMm2 ? { areaMm2 } : {}),
		skinMm: inputs.skinMm,
		coats: inputs.coats,
		thickenerPercentOfB: inputs.thickenerPercentOfB,
		shellKind: inputs.shellKind,
		shellMm: inputs.shellMm,
		shellParts: inputs.shellParts,
		flangeMm: inputs.flangeMm,
		boltEveryMm: inputs.boltEveryMm,
		...(record.recoatS === undefined ? {} : { recoatS: record.recoatS }),
		rubber: rubberForBlock(record),
		roomTempC: inputs.roomTempC,
		lossPercent: inputs.lossPercent
	});
	const { areaMm2: skinAreaMm2, outerAreaMm2, keys, keyMm, shell, thickenerG, coats } = plan;
	const chosen = shell.kind === 'resin' ? materials.shellResin : undefined;
	const recipe =
		chosen &&
		shellRecipe(
			{ volumeMl: shell.volumeMl / shell.parts, faceMm2: shell.faceMm2 / shell.parts, parts: shell.parts },
			chosen,
			materials.shellFiller,
			inputs.roomTempC
		);
	const reach = inputs.skinMm + inputs.shellMm + inputs.flangeMm;
	const warnings =
		record.use === 'brush-on' || inputs.thickenerPercentOfB > 0 || shell.kind === 'printed'
			? plan.warnings
			: [
					...plan.warnings,
					{
						code: 'runs-off',
						message: 'A pouring rubber without thickener runs off upright faces.',
						action: 'Give the later coats a thickener, or take a rubber for brushing.'
					}
				];
	return {
		kind: 'jacket',
		rubber: plan.rubber,
		a: plan.a,
		b: plan.b,
		pours: coats.map((c) => ({
			name: c.name,
			volumeMl: c.massG / record.densityGPerMl,
			massG: c.massG,
			a: c.a,
			b: c.b,
			...(c.thickenerG > 0 ? { thickenerG: c.thickenerG } : {}),
			startS: c.startS
		})),
		grossVolumeMl: plan.rubber.volumeMl,
		netVolumeMl: plan.rubber.volumeMl / (1 + inputs.lossPercent / 100),
		degasVesselMl: 0,
		readyInS: plan.readyInS,
		workingTimeS: plan.workingTimeS,
		working: plan.working,
		warnings,
		cutList: [
			base(
				master.lengthMm + 2 * reach,
				(master.footprint === 'round' ? master.lengthMm : master.widthMm) + 2 * reach,
				inputs.boardMm
			)
		],
		jacket: {
			areaMm2: skinAreaMm2,
			outerAreaMm2,
			keys,
			keyMm,
			shell,
			thickenerG,
			coats,
			...(recipe ? { recipe } : {}),
			...(shell.kind === 'plaster' ? { plaster: plasterParts(shell.volumeMl) } : {})
		}
	};
}
