/** What is typed, graded and ended from the first cup on. Fetched at the first press. */
export { default as Grading } from '../Grading.svelte';
export { default as CureTyped } from './CureTyped.svelte';
export { default as Ended } from './Ended.svelte';
export { default as LeftOver } from './LeftOver.svelte';
export { default as NextOne } from './NextOne.svelte';
export { default as OutPresses } from './OutPresses.svelte';
