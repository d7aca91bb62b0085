import type { z } from 'zod';
import { fieldErrors, type FieldError } from '../fieldErrors';
import { shotInputs } from './inputs';
import type { PlannedShot, ShotContext } from './planned';
import { planShot } from './planShot';

/** A planned shot, or what is wrong with what was typed. Plain data, so that it can cross to a worker. */
export type ShotOutcome = { planned: PlannedShot } | { errors: FieldError[] };

/** Plans a shot from what is typed so far; incomplete input is an answer, not an exception. */
export function tryPlanShot(inputs: z.input<typeof shotInputs>, context: ShotContext): ShotOutcome {
	try {
		return { planned: planShot(shotInputs.parse(inputs), context) };
	} catch (error) {
		const errors = fieldErrors(error);
		if (!errors) throw error;
		return { errors };
	}
}
