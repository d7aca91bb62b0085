import { pourEvent } from '$lib/core/bench';
import { eventRoutes } from '$lib/server/eventRoutes';
import { getPour, readEvents } from '$lib/server/repositories/pours';
import { addEventsOfLoad } from '$lib/server/repositories/sameLoad';

export const { GET, POST } = eventRoutes({
	event: pourEvent,
	find: getPour,
	read: (id, after) => readEvents(id, after),
	add: addEventsOfLoad
});
