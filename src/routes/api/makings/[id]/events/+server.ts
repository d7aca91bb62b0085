import { makingEvent } from '$lib/core/making';
import { eventRoutes } from '$lib/server/eventRoutes';
import { addMakingEvents, getMaking, readMakingEvents } from '$lib/server/repositories/makings';

export const { GET, POST } = eventRoutes({
	event: makingEvent,
	find: getMaking,
	read: (id, after) => readMakingEvents(id, after),
	add: addMakingEvents
});
