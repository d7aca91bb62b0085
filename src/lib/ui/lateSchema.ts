import type { ClientValidationAdapter } from 'sveltekit-superforms/adapters';
import type { z, ZodType } from 'zod';

/**
 * A form's rules that are fetched once something is typed: none of them is sent with the page. Until they are here, and
 * where they cannot be fetched, nothing is refused at this device, and the server says what it thinks when it is asked.
 * Nobody waits for them: the form sets what was checked, and would set over what was typed meanwhile.
 * @example
 * lateSchema(() => import('$lib/core/shot/inputs').then((m) => m.shotInputs));
 */
export function lateSchema<S extends ZodType>(
	schema: () => Promise<S>
): ClientValidationAdapter<z.output<S>, z.input<S>> {
	let rules: S | undefined;
	let fetching = false;
	async function fetchRules() {
		if (rules || fetching) return;
		fetching = true;
		rules = await schema().catch(() => undefined);
		fetching = false;
	}
	return {
		superFormValidationLibrary: 'zod4',
		async validate(data) {
			void fetchRules();
			if (!rules) return { success: true, data: data as z.output<S> };
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
