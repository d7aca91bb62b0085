<script lang="ts">
	import { countdown, wallTime } from '../clockText';

	/** While this one cures: which mould the plan pours next, by one press. */
	interface Props {
		/** The next pull of the plan, by its first activity. */
		next: { id: string; pieceName: string; moulds: string; startMs: number };
		/** This one wants hands in so long, s. */
		leftS: number;
		/** Its moulds. */
		moulds: string;
		nowMs: number;
	}
	let { next, leftS, moulds, nowMs }: Props = $props();
</script>

<form method="POST" action="/orders/today?/begin" class="mx-auto flex w-full max-w-[60rem] flex-wrap items-center justify-between gap-3">
	<input type="hidden" name="id" value={next.id} />
	<p>
		{moulds}
		{moulds.includes(',') ? 'want' : 'wants'} you in <strong class="num">{countdown(leftS)}</strong>. By the plan
		<strong>{next.pieceName} in {next.moulds}</strong> is next, at {wallTime(next.startMs, nowMs)}.
	</p>
	<button type="submit" class="min-h-12 cursor-pointer rounded-lg border-2 border-(--line-strong) bg-(--paper) px-5 font-semibold"
		>Pour {next.moulds} meanwhile</button>
</form>
