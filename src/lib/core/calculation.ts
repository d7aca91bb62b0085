import type { z } from 'zod';

/** A calculation that the screens use and that scripts may ask for. */
export interface Calculation {
	readonly name: string;
	readonly about: string;
	readonly schema: z.ZodType;
	readonly example: unknown;
	/** It may take seconds: a server lets a thread do it. */
	readonly long?: true;
	/** Checks and computes. Throws ZodError or InputError for input that no sum can be made from. */
	readonly run: (input: unknown) => unknown;
}

/**
 * A calculation of the open interface; it stands beside what it computes.
 * @example
 * calculation('double', 'Twice a number.', z.number(), 2, (n) => 2 * n).run(3) // 6
 */
export function calculation<S extends z.ZodType>(
	name: string,
	about: string,
	schema: S,
	example: z.input<S>,
	run: (input: z.output<S>, raw: z.input<S>) => unknown
): Calculation {
	return {
		name,
		about,
		schema,
		example,
		run: (input) => run(schema.parse(input), input as z.input<S>)
	};
}
