import { untrack } from 'svelte';
import { superForm, type FormOptions, type SuperValidated } from 'sveltekit-superforms';

/**
 * A form that keeps what was typed whatever the server answers: nothing is reset, an answer that is no
 * answer (too large, no network) becomes a sentence over the form.
 */
export function benchForm<T extends Record<string, unknown>>(
	data: () => SuperValidated<T>,
	options: FormOptions<T> = {}
) {
	const form = superForm<T>(untrack(data), {
		dataType: 'json',
		resetForm: false,
		invalidateAll: true,
		taintedMessage: null,
		scrollToError: 'smooth',
		errorSelector: '[aria-invalid="true"]',
		onError({ result }) {
			const status = result.status ?? 0;
			form.errors.update((errors) => ({
				...errors,
				_errors: [
					status === 413
						? 'That is more text than the form can take: shorten it. What you typed is still here.'
						: `It was not saved: ${result.error?.message || 'the server does not answer'}. What you typed is still here; try again.`
				]
			}));
		},
		...options
	});
	return form;
}
