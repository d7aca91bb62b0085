declare module 'plotly.js-cartesian-dist-min' {
	import * as Plotly from 'plotly.js';
	export default Plotly;
}
