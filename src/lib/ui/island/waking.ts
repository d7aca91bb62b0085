/** Parts of a page that wait for their turn to come to life. */
const waiting: (() => void)[] = [];
let turns: Promise<void> | undefined;

/** Lets the browser answer whoever pressed something meanwhile. */
export const nextTask = () => new Promise<void>((go) => setTimeout(go));

async function inTurn(): Promise<void> {
	for (let next = waiting.shift(); next; next = waiting.shift()) {
		await nextTask();
		next();
	}
	turns = undefined;
}

/** Wakes a part in a task of its own, after those that asked before. */
export function wake(part: () => void): void {
	waiting.push(part);
	turns ??= inTurn();
}

/** When all parts that have asked so far, and those within them, are awake. */
export async function allAwake(): Promise<void> {
	while (turns) await turns;
}
