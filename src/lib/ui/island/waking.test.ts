import { expect, it, vi } from 'vitest';
import { allAwake, onceAwake, wake } from './waking';

it('parts wake one after another, each in a task of its own, and those within them after all that asked before', async () => {
	const seen: string[] = [];
	wake(() => {
		seen.push('first');
		// what a task leaves behind runs before the next part
		void Promise.resolve().then(() => seen.push('after first'));
		wake(() => seen.push('within first'));
	});
	wake(() => seen.push('second'));
	expect(seen).toEqual([]);
	await allAwake();
	expect(seen).toEqual(['first', 'after first', 'second', 'within first']);
});

it('with nothing to wake all is awake, and what asks later is waited for by whoever asks later', async () => {
	await allAwake();
	let woken = false;
	wake(() => (woken = true));
	expect(woken).toBe(false);
	await allAwake();
	expect(woken).toBe(true);
});

it('what changes parts waits for those that have asked, and for nothing where none waits', async () => {
	await allAwake();
	const seen: string[] = [];
	onceAwake(() => seen.push('at once'));
	expect(seen).toEqual(['at once']);
	wake(() => {
		seen.push('first');
		onceAwake(() => seen.push('changes them'));
	});
	wake(() => seen.push('second'));
	await allAwake();
	expect(seen).toEqual(['at once', 'first', 'second', 'changes them']);
});

it('paper waits for no turn: all that asked, and those within them, are awake before it is drawn', async () => {
	const heard = new Map<string, () => void>();
	vi.stubGlobal('addEventListener', (name: string, listener: () => void) => heard.set(name, listener));
	const seen: string[] = [];
	wake(() => {
		seen.push('first');
		wake(() => seen.push('within first'));
	});
	wake(() => seen.push('second'));
	heard.get('beforeprint')!();
	expect(seen).toEqual(['first', 'second', 'within first']);
	await allAwake();
	expect(seen).toHaveLength(3);
	vi.unstubAllGlobals();
});
