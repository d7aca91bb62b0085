import type { ClientValidationAdapter } from 'sveltekit-superforms/adapters';
import type { z, ZodType } from 'zod';

/**
 * A form's rules that are fetched once something is typed: none of them is sent with the page. Where they cannot be
 * fetched (the server is away) nothing is refused here, and the server says what it thinks when it is asked.
 * @example
 * lateSchema(() => import('$lib/core/shot/inputs').then((m) => m.shotInputs));
 */
export function lateSchema<S extends ZodType>(
	schema: () => Promise<S>
): ClientValidationAdapter<z.output<S>, z.input<S>> {
	return {
		superFormValidationLibrary: 'zod4',
		async validate(data) {
			let rules: S;
			try {
				rules = await schema();
			} catch {
				return { success: true, data: data as z.output<S> };
			}
			const result = await rules.safeParseAsync(data);
			if (result.success) return { success: true, data: result.data };
			return {
				success: false,
				issues: result.error.issues.map(({ message, path }) => ({
					message,
					path: path as (string | number)[]
				}))
			};
		}
	};
}
