/** Drawings that wait for their turn, the newest of each owner. */
const waiting = new Map<object, () => void>();
let running = false;

/**
 * Draws one thing a frame, so that two charts that change together never make one long task of the main
 * thread. Asking again before the turn came replaces what was asked.
 */
export function drawSoon(owner: object, draw: () => void): void {
	waiting.set(owner, draw);
	if (running) return;
	running = true;
	requestAnimationFrame(next);
}

function next(): void {
	const first = waiting.entries().next().value;
	if (!first) {
		running = false;
		return;
	}
	waiting.delete(first[0]);
	first[1]();
	requestAnimationFrame(next);
}

/** Forgets a drawing whose owner is gone. */
export function dropDrawing(owner: object): void {
	waiting.delete(owner);
}
