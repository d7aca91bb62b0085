import type { z } from 'zod';
import type { Outcome } from '../outcome';
import { outcomeOf } from '../outcomeOf';
import { shotInputs } from './inputs';
import type { PlannedShot, ShotContext } from './planned';
import { planShot } from './planShot';

/** Plans a shot from what is typed so far; incomplete input is an answer, not an exception. */
export const tryPlanShot = (inputs: z.input<typeof shotInputs>, context: ShotContext): Outcome<PlannedShot> =>
	outcomeOf(() => planShot(shotInputs.parse(inputs), context));
