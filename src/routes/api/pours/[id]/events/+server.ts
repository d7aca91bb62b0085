import { pourEvent } from '$lib/core/bench';
import { eventRoutes } from '$lib/server/eventRoutes';
import { addEvents, getPour, readEvents } from '$lib/server/repositories/pours';

export const { GET, POST } = eventRoutes({
	event: pourEvent,
	find: getPour,
	read: (id, after) => readEvents(id, after),
	add: addEvents
});
