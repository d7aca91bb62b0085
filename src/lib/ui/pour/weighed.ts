/** Where an amount is typed that no scale sends. */
export { default as WeighedField } from './WeighedField.svelte';
