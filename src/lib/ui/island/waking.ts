/** Parts of a page that wait for their turn to come to life. */
const waiting: (() => void)[] = [];
let turns: Promise<void> | undefined;

/** Lets the browser answer whoever pressed something meanwhile. */
export const nextTask = () => new Promise<void>((go) => setTimeout(go));

/** Paper waits for no turns: all wake at once, and those within them. */
function onPaper(): void {
	for (let next = waiting.shift(); next; next = waiting.shift()) next();
}

async function inTurn(): Promise<void> {
	while (waiting.length > 0) {
		await nextTask();
		waiting.shift()?.();
	}
	turns = undefined;
}

/** Wakes a part in a task of its own, after those that asked before. */
export function wake(part: () => void): void {
	if (!turns) globalThis.addEventListener?.('beforeprint', onPaper, { once: true });
	waiting.push(part);
	turns ??= inTurn();
}

/**
 * Does it once all parts that have asked so far are awake; at once where none waits. What a part changes of the others
 * before would find them as the server wrote them.
 */
export function onceAwake(then: () => void): void {
	if (turns) waiting.push(then);
	else then();
}

/** When all parts that have asked so far, and those within them, are awake. */
export async function allAwake(): Promise<void> {
	while (turns) await turns;
}
