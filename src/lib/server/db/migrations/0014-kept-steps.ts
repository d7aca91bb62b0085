import { keepSteps } from '../../repositories/keptSteps';

/** A pour keeps its steps from its beginning; those that are open already get theirs now. */
export const up = (): Promise<void> => keepSteps();
