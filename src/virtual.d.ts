declare module 'virtual:thread-heavy' {
	/** A whole script for the threads of the pool. */
	const source: string;
	export default source;
}
