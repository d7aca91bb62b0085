import { getContext, setContext } from 'svelte';
import {
	axisUnit,
	formatOther,
	formatQuantity,
	formatWeighed,
	onAxis,
	roundedBand,
	textInUnits,
	weighedTogether,
	type AxisKind,
	type QuantityKind,
	type UnitSystem
} from '$lib/core/units';

const KEY = Symbol('units');

/** The workshop's way of showing numbers, for every component below the layout. */
export class Units {
	#system: () => UnitSystem;
	#scaleStepG: () => number;
	constructor(system: () => UnitSystem, scaleStepG: () => number = () => 1) {
		this.#system = system;
		this.#scaleStepG = scaleStepG;
	}
	get system(): UnitSystem {
		return this.#system();
	}
	get scaleStepG(): number {
		return this.#scaleStepG();
	}
	show(value: number | undefined | null, kind: QuantityKind): string {
		return formatQuantity(value, kind, this.system);
	}
	/** What is to be weighed, in the step of the workshop's scale. */
	weighed(massG: number | null | undefined): string {
		return formatWeighed(massG ?? NaN, this.system, this.scaleStepG);
	}
	/** All that is in a cup, as the sum of its parts as each of them is weighed. */
	inCup(
		cup: { massG: number } & Partial<Record<'a' | 'b', { massG: number }>> & {
				fillers?: readonly { massG: number }[] | undefined;
			}
	): string {
		const parts = [cup.a, cup.b, ...(cup.fillers ?? [])].flatMap((part) => (part ? [part.massG] : []));
		// an ounce has no steps here: parts and whole are said as finely as the scale is worth
		return this.weighed(
			this.system === 'us' ? cup.massG : weighedTogether(cup.massG, parts, this.scaleStepG)
		);
	}
	/** A sentence of the core with its quantities as they are shown. */
	text(sentence: string): string {
		return textInUnits(sentence, this.system);
	}
	/** A band of times, rounded to what it is sure of. */
	band({ lowS, highS }: { lowS: number; highS: number }): string {
		const [low, high] = roundedBand(lowS, highS);
		return `${this.show(low, 'time')} to ${this.show(high, 'time')}`;
	}
	/** For an axis: the number alone, in the unit that `plotUnit` names. */
	plotted(value: number, kind: AxisKind): number {
		return onAxis(value, kind, this.system);
	}
	plotUnit(kind: AxisKind): string {
		return axisUnit(kind, this.system);
	}
	other(value: number, kind: QuantityKind): string {
		return formatOther(value, kind, this.system);
	}
}

export function provideUnits(system: () => UnitSystem, scaleStepG?: () => number): Units {
	return setContext(KEY, new Units(system, scaleStepG));
}

export function useUnits(): Units {
	return getContext<Units>(KEY);
}
