import { chemistryOf } from '../shelf/resin';
import { digits } from '../units';
import type { Warning } from '../working';
import { planBrushed } from './brushed';
import { planClear } from './clear';
import { planCold } from './coldCast';
import type { Inputs } from './inputs';
import type { PlannedShot, ShotContext } from './planned';
import { planRolled } from './rolled';
import { planSolid } from './solidPlan';

/** Air from which this workshop does not pour urethane, said while there is still time to dry the room. */
function airWarnings(inputs: Inputs, { settings, resin }: ShotContext): Warning[] {
	const { stopHumidityPercent } = settings;
	if (chemistryOf(resin.family) !== 'urethane' || inputs.relativeHumidity < stopHumidityPercent) return [];
	return [
		{
			code: 'damp-air',
			message: `At ${digits(inputs.relativeHumidity, 0)} % humidity urethane foams easily; this workshop stops from ${digits(stopHumidityPercent, 0)} %.`,
			action: 'Wait for drier air or dry the room, warm and dry the mould, and keep A closed.'
		}
	];
}

/** Sizes the shot from what was typed and what the records say. Throws as the kind's own planner does. */
export function planShot(inputs: Inputs, context: ShotContext): PlannedShot {
	const planned = planKind(inputs, context);
	const { shot } = planned;
	return { ...planned, shot: { ...shot, warnings: [...shot.warnings, ...airWarnings(inputs, context)] } };
}

function planKind(inputs: Inputs, context: ShotContext): PlannedShot {
	switch (inputs.kind) {
		case 'rotocast':
		case 'filled':
			return planRolled(inputs, context);
		case 'clear':
			return planClear(inputs, context);
		case 'cold':
			return planCold(inputs, context);
		case 'brushed':
			return planBrushed(inputs, context);
		default:
			return planSolid(inputs, context);
	}
}
