/** What is pressed while a cast holds its pressure and cures: small, for a pour that is opened again then. */
export { default as CureNotes } from './CureNotes.svelte';
export { default as LeftOver } from './LeftOver.svelte';
export { default as ReleasedBy } from './ReleasedBy.svelte';
