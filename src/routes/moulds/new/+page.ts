import { nextTask } from '$lib/ui/island/waking';
import type { PageLoad } from './$types';

/** The planner's scripts, with every rule of it, run in a task of their own before the page wakes. */
export const load: PageLoad = async ({ data }) => {
	const { default: MouldForm } = await import('$lib/ui/MouldForm.svelte');
	await nextTask();
	return { ...data, MouldForm };
};
