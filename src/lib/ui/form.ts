import { onMount, untrack } from 'svelte';
import { get } from 'svelte/store';
import { superForm, type FormOptions, type SuperValidated } from 'sveltekit-superforms';
import { drafts, type DraftedForm } from './draft/drafts.svelte';

/**
 * A form that keeps what was typed whatever the server answers: nothing is reset, an answer that is no
 * answer (too large, no network) becomes a sentence over the form. What is being typed is kept on the device as a draft.
 */
export function benchForm<T extends Record<string, unknown>>(
	data: () => SuperValidated<T>,
	options: FormOptions<T> = {}
) {
	let kept: ReturnType<typeof drafts.keep> | undefined;
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
						: `It was not kept: ${result.error?.message || 'the server does not answer'}. What you typed is still here; try again.`
				]
			}));
		},
		...options,
		onResult(event) {
			if (event.result.type === 'success' || event.result.type === 'redirect') kept?.saved();
			return options.onResult?.(event);
		}
	});
	// a form that only asks, and keeps nothing, has nothing to lose
	if (!options.SPA)
		onMount(() => {
			const of: DraftedForm = {
				read: () => get(form.form),
				write: (typed) => form.form.set(typed as T, { taint: false })
			};
			kept = drafts.keep(options.id ?? 'form', of);
			const unsubscribe = form.form.subscribe(() => kept?.changed());
			return () => {
				unsubscribe();
				kept?.stop();
			};
		});
	return form;
}
