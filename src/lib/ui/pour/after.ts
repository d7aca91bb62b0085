/** What a pour shows from the first cup on: where it is typed, graded, ended. Fetched at the first press. */
export { default as Grading } from '../Grading.svelte';
export { default as CureNotes } from './CureNotes.svelte';
export { default as Ended } from './Ended.svelte';
export { default as OutPresses } from './OutPresses.svelte';
export { default as ReleasedBy } from './ReleasedBy.svelte';
export { default as WeighedField } from './WeighedField.svelte';
