/** Where an order stands: asked for, promised, being cast, done, called off. */
export const ORDER_STATES = ['asked', 'promised', 'running', 'done', 'called-off'] as const;
export type OrderState = (typeof ORDER_STATES)[number];
export const ORDER_STATE_WORDS: Readonly<Record<OrderState, string>> = {
	asked: 'asked for',
	promised: 'promised',
	running: 'being cast',
	done: 'done',
	'called-off': 'called off'
};
/** Orders of these states are scheduled. */
export const OPEN_STATES: readonly OrderState[] = ['asked', 'promised', 'running'];
