/** What a pour shows once its mould is full, with the rules of what is typed there. Fetched while the first cup is measured. */
export { castFindings } from '$lib/core/bench/events';
export { default as Grading } from '../Grading.svelte';
export { default as CureNotes } from './CureNotes.svelte';
export { default as Ended } from './Ended.svelte';
export { default as OutPresses } from './OutPresses.svelte';
export { default as ReleasedBy } from './ReleasedBy.svelte';
