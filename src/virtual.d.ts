declare module 'virtual:thread-mesh' {
	/** A whole script for a node thread. */
	const source: string;
	export default source;
}
