import { error } from '@sveltejs/kit';
import { HOW } from '$lib/ui/how/pages';
import { STATIONS } from '$lib/ui/stations';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ params }) => {
	const how = Object.hasOwn(HOW, params.station) ? HOW[params.station] : undefined;
	const station = STATIONS.find((s) => s.href === `/${params.station}`);
	if (!how || !station) error(404, 'There is no such page: each station has its own.');
	return { how, station: { name: station.name, href: station.href } };
};
