<script lang="ts">
	import type { MouldPlan } from '$lib/core/mould';
	import { useUnits } from '../units.svelte';

	/** What is cut, laid or counted out before anything is mixed. */
	let { plan }: { plan: MouldPlan } = $props();
	const units = useUnits();
	const mm = (v: number) => units.show(v, 'length');
</script>

<table class="bench">
	<thead><tr><th>Cut or count</th><th class="num">Pieces</th><th>Size</th></tr></thead>
	<tbody>
		{#each plan.cutList ?? [] as piece, i (i)}
			<tr>
				<td>{piece.what}</td>
				<td class="num">{piece.count}</td>
				<td
					>{piece.thicknessMm > 0
						? `${mm(piece.lengthMm)} × ${mm(piece.widthMm)}, ${mm(piece.thicknessMm)} thick`
						: `⌀ ${mm(piece.widthMm)}, ${mm(piece.lengthMm)} long`}</td>
			</tr>
		{/each}
		{#if plan.brickUnits && plan.cavity?.shape === 'courses'}
			<tr>
				<td>bricks, one wide</td>
				<td class="num">{plan.brickUnits}</td>
				<td
					>{plan.cavity.courses.length} courses, inside {mm(plan.cavity.courses[0]!.lengthMm)} × {mm(plan.cavity.courses[0]!.widthMm)} at the
					foot, {mm(plan.cavity.courses.at(-1)!.lengthMm)} × {mm(plan.cavity.courses.at(-1)!.widthMm)} at the top</td>
			</tr>
		{/if}
		{#if plan.keys}<tr><td>keys, half round</td><td class="num">{plan.keys.at.length}</td><td>⌀ {mm(plan.keys.diameterMm)}</td></tr>{/if}
		{#if plan.jacket}
			{@const s = plan.jacket.shell}
			<tr><td>keys on the skin</td><td class="num">{plan.jacket.keys}</td><td>half round, ⌀ {mm(plan.jacket.keyMm)}</td></tr>
			<tr
				><td>shell, {{ resin: 'thickened resin', plaster: 'plaster bandage', printed: 'printed, with a cover and a hole' }[s.kind]}</td><td
					class="num">{s.parts}</td
				><td
					>{s.kind === 'resin'
						? `${units.weighed(s.massG)} with its flanges`
						: s.kind === 'printed'
							? `${units.show(s.volumeMl, 'volume')} of print, held by three bands`
							: `${s.layers} layers, ${units.show(s.bandageMm2, 'area')} of bandage`}</td
				></tr>
			{#if plan.jacket.recipe}
				{@const r = plan.jacket.recipe}
				<tr
					><td>its resin, {r.resinName}</td><td class="num">{r.portions * s.parts}</td><td
						>portions of {units.weighed(r.portion.massG)}: {units.weighed(r.portion.aG)} of A, {units.weighed(r.portion.bG)} of B{r.thickenerName
							? `, ${units.weighed(r.portion.thickenerG)} of ${r.thickenerName}`
							: ''}; spread in {units.show(r.portion.spreadS, 'time')}, {units.show(r.portion.potLifeS, 'time')} in the pot</td
					></tr>
			{/if}
			{#if plan.jacket.plaster}<tr
					><td>or laid with cloth</td><td class="num"></td><td
						>{units.weighed(plan.jacket.plaster.powderG)} of plaster into {units.weighed(plan.jacket.plaster.waterG)} of water</td
					></tr
				>{/if}
			{#if s.bolts > 0}<tr><td>bolts and nuts</td><td class="num">{s.bolts}</td><td>flanges {mm(s.flangeLengthMm)} long together</td></tr
				>{/if}
		{/if}
		{#if plan.rigid}
			<tr
				><td>outside</td><td class="num">1</td><td
					>{mm(plan.rigid.outerMm.lengthMm)} × {mm(plan.rigid.outerMm.widthMm)} × {mm(plan.rigid.outerMm.heightMm)}</td
				></tr>
			{#if plan.rigid.material.massG > 0}<tr
					><td>material</td><td class="num"></td><td
						>{units.weighed(plan.rigid.material.massG)}, {units.show(plan.rigid.material.volumeMl, 'volume')}</td
					></tr
				>{/if}
			<tr
				><td>putty</td><td class="num"></td><td
					>{units.show(plan.rigid.putty.volumeMl, 'volume')} for {mm(plan.rigid.seamMm)} of parting line</td
				></tr>
			<tr><td>bands</td><td class="num">{plan.rigid.bands}</td><td>evenly over its height</td></tr>
		{/if}
	</tbody>
</table>
