/** A small button of the bench's head. */
export const SMALL_BUTTON =
	'inline-flex min-h-[2.9rem] cursor-pointer items-center gap-2 rounded-lg border-[1.5px] border-(--line-strong) bg-(--paper) px-3 font-semibold sm:px-4';
