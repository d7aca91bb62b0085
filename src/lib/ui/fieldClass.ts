/** The look of every field: large enough for gloves, an edge that is seen a metre away. */
export function fieldClass(problem: boolean): string {
	return [
		'mt-1 min-h-[2.75rem] w-full rounded-lg border-[1.5px] bg-(--paper)! px-3! py-1! text-[1.05rem]! text-(--ink)! placeholder:text-(--ink-soft)! placeholder:opacity-60',
		problem ? 'border-(--harm)! border-2' : 'border-(--line-strong)!'
	].join(' ');
}
