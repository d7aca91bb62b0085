import type { Findable } from '$lib/core/search';
import { HOW } from '../how/pages';
import { STATIONS } from '../stations';

const page = (title: string, detail: string, href: string, also = ''): Findable => ({
	kind: 'page',
	title,
	detail,
	href,
	also
});

/** Pages and what can be done, by the words that people have for them. */
export const PAGES: readonly Findable[] = [
	...STATIONS.map((s) => page(s.name, 'station', s.href)),
	...Object.entries(HOW).map(([station, how]) =>
		page(how.title, 'how this is done', `/how/${station}`, 'help guide learn drawing')
	),
	page('What do I mix?', 'one amount, at once', '/quick', 'quick grams how much'),
	page('New master', 'measure a piece', '/masters/new', 'add piece volume'),
	page('Master from a 3D file', 'measure a piece', '/masters/from-file', 'stl obj mesh'),
	page('Plan a mould', 'rubber, box, sprue', '/moulds/new', 'add new mould'),
	page('Which way', 'how to make a mould of a piece', '/moulds/choose', 'choose kind'),
	page('Size a shot', 'cups against the pot life', '/shots/new', 'add new shot cast'),
	page('Plan a load', 'moulds into the pot together', '/pots/load', 'pressure shelf'),
	page('Practise a pour', 'nothing is spent', '/practice', 'learn lesson'),
	page('Yields', 'what came out well', '/ledger/yield', 'statistics'),
	page('What changes with what', 'faults and their causes', '/ledger/faults', 'statistics'),
	page('Wear', 'pulls left in each mould', '/moulds/wear', 'life successor'),
	page('Read an old notebook in', 'pulls from a table', '/ledger/import', 'csv'),
	page('Add a resin', 'shelf', '/shelf/resins/new'),
	page('Add a rubber', 'shelf', '/shelf/rubbers/new'),
	page('Add a tin', 'shelf', '/shelf/containers/new', 'lot stock'),
	page('What may touch what', 'shelf', '/shelf/meets', 'compatibility inhibition release'),
	page('Settings', 'units, room, scale, pot, light and dark', '/settings', 'workshop setup'),
	page('Instruments', 'scale, thermometer, gauge', '/settings/instruments', 'devices token'),
	page('The whole book', 'out and in', '/workshop', 'backup export restore'),
	page('Keys', 'everything that a key does', '/keys', 'keyboard shortcuts')
];
