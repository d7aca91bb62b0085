import type { LayersQuestion } from '../../cure/bands';
import type { Inputs } from '../inputs';
import type { PlannedShot, ShotContext } from '../planned';
import { planBrushed } from './brushed/plan';
import { planClear } from './clear/plan';
import { planCold } from './cold/plan';
import { FILLS } from './filled/fills';
import type { ShotKind } from './names';
import { planRolled } from './rotocast/plan';
import { planSolid } from './solid/plan';

/** Sizes one kind of cast. @throws InputError at the field with what would do */
type Plan = (inputs: Inputs, context: ShotContext) => PlannedShot & { stack?: LayersQuestion };

/** How every kind of cast is planned: what a new kind lacks does not compile. */
export const CAST_PLANS: Readonly<Record<ShotKind, Plan>> = {
	solid: planSolid,
	rotocast: (inputs, context) => planRolled(inputs, context),
	filled: (inputs, context) =>
		planRolled(inputs, context, {
			kind: inputs.fillKind,
			densityGPerMl: inputs.fillDensityGPerMl ?? FILLS[inputs.fillKind].densityGPerMl,
			lossPercent: inputs.lossPercent
		}),
	clear: planClear,
	cold: planCold,
	brushed: planBrushed
};
