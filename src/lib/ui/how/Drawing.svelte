<script lang="ts">
	import type { HowDrawing } from './pages';

	/** One drawing of a how-to page; it shows what its sentence says, which stands beside it. */
	let { draw }: { draw: HowDrawing } = $props();
	const ink = 'var(--ink)';
	const rubber = 'var(--work-soft)';
	const hot = 'var(--hot)';
	const work = 'var(--work)';
</script>

<svg
	class="h-auto w-full"
	viewBox="0 0 160 110"
	fill="none"
	stroke={ink}
	stroke-width="2"
	stroke-linecap="round"
	stroke-linejoin="round"
	aria-hidden="true">
	{#if draw === 'overflow'}
		<path d="M40 30V92H104V30" /><path d="M40 32H104V92H40Z" fill={rubber} stroke="none" /><path d="M40 30V92H104V30" />
		<path d="M58 44L72 26L86 44V66H58Z" fill={ink} opacity=".75" stroke="none" /><path d="M72 26V8" stroke-dasharray="3 4" />
		<path d="M104 32Q118 34 116 52V66" stroke={work} stroke-width="4" /><path d="M106 74H140V92H106Z" /><path
			d="M108 82H138"
			stroke={work}
			stroke-width="4" />
	{:else if draw === 'mat'}
		<path
			d="M22 98L50 66H110L138 98Z"
			fill="var(--paper)" />{#each [[44, 92], [62, 92], [80, 92], [98, 92], [116, 92], [56, 73], [104, 73]] as [x, y] (x)}<path
				d="M{x! - 5} {y}H{x! + 5}"
				stroke-width="5"
				stroke-linecap="butt" />{/each}
		<path d="M68 84Q66 70 76 66Q66 58 70 48Q80 38 90 48Q94 58 84 66Q94 70 92 84Z" fill={ink} opacity=".75" stroke="none" />
		<path d="M28 58Q24 30 52 18M108 18Q136 30 132 58" stroke={work} stroke-dasharray="3 5" />
		<path d="M14 58H36V74H14ZM124 58H146V74H124ZM70 6H92V20H70Z" fill={rubber} /><circle cx="25" cy="66" r="4" /><circle
			cx="135"
			cy="66"
			r="4" /><circle cx="81" cy="13" r="3.5" stroke={hot} stroke-width="3" />
	{:else if draw === 'position'}
		<path d="M50 14H110V100H50Z" fill={rubber} /><path
			d="M72 14V34Q62 44 66 56Q48 52 54 66Q62 74 68 68L74 92Q80 98 86 92L92 68Q100 66 98 52Q94 44 88 34V14Z"
			fill={ink}
			opacity=".7"
			stroke="none" />
		<circle cx="55" cy="55" r="5" fill="var(--paper)" stroke={hot} stroke-width="3" /><path
			d="M54 48V18"
			stroke={hot}
			stroke-dasharray="3 4" /><path d="M80 4V12" stroke={work} stroke-width="4" />
	{:else if draw === 'seal'}
		<path d="M34 92V60Q36 34 60 30Q86 34 88 60V92Z" fill={rubber} />{#each [44, 56, 68, 78] as x (x)}<circle
				cx={x}
				cy={62 + (x % 3) * 8}
				r="2.2"
				fill={ink}
				stroke="none" />{/each}
		<path d="M92 40L116 18L126 28L102 50Z" fill={work} stroke="none" /><path d="M122 22L142 6" stroke-width="6" /><path
			d="M88 60Q86 36 66 31"
			stroke={work}
			stroke-width="5" />
	{:else if draw === 'box'}
		<path d="M26 16V94H134V16" stroke-width="5" /><path d="M29 32H131V92H29Z" fill={rubber} stroke="none" /><path
			d="M54 92L60 56Q80 40 100 56L106 92Z"
			fill={ink}
			opacity=".75"
			stroke="none" />
		<path d="M80 34V46M76 38L80 34L84 38M76 42L80 46L84 42" stroke={hot} /><path
			d="M31 76H53M35 72L31 76L35 80M49 72L53 76L49 80"
			stroke={hot} />
	{:else if draw === 'seam'}
		<path d="M36 18H124V96H36Z" fill={rubber} /><path
			d="M80 40Q64 50 70 70Q80 82 92 70Q98 52 80 40Z"
			fill={ink}
			opacity=".7"
			stroke="none" />
		<path d="M80 18Q74 24 80 30T80 40" stroke={hot} stroke-width="3" /><path
			d="M36 58Q42 52 48 58T60 58T69 58"
			stroke={hot}
			stroke-width="3" /><path d="M124 50V68" stroke={work} stroke-width="7" />
	{:else if draw === 'keys'}
		<path d="M22 62H138V98H22Z" fill={rubber} /><path d="M58 62Q80 92 102 62Z" fill="var(--paper)" />{#each [38, 122] as x (x)}<path
				d="M{x - 7} 62A7 7 0 0 1 {x + 7} 62Z"
				fill={work}
				stroke="none" />{/each}
		<path d="M22 12H138V46H22Z" fill={rubber} /><path d="M58 46Q80 18 102 46Z" fill="var(--paper)" />{#each [38, 122] as x (x)}<path
				d="M{x - 7} 46A7 7 0 0 1 {x + 7} 46Z"
				fill="var(--paper)" />{/each}<path d="M80 50V58M76 54L80 58L84 54" stroke={hot} />
	{:else if draw === 'stream'}
		<path d="M96 4L136 14L128 36L100 28Z" fill={rubber} /><path d="M100 26Q44 30 42 84" stroke={work} stroke-width="3" /><path
			d="M26 40V98H134V40"
			stroke-width="4" /><path d="M28 98V84L132 84V98Z" fill={work} opacity=".6" stroke="none" />
		<path d="M76 96L82 62Q94 52 106 62L112 96Z" fill={ink} opacity=".75" stroke="none" />
	{:else if draw === 'tins'}
		{#each [['A', 30], ['B', 92]] as [name, x] (name)}<path d="M{x} 44H{Number(x) + 40}V96H{x}Z" fill={rubber} /><path
				d="M{Number(x) + 24} 72L{Number(x) + 34} 12"
				stroke={name === 'A' ? hot : work}
				stroke-width="5" /><text x={Number(x) + 9} y="84" font-size="24" font-weight="700" fill={ink} stroke="none">{name}</text>{/each}
	{:else if draw === 'cups'}
		<path d="M24 30L30 94H66L72 30" /><path d="M27 56L30 94H66L69 56Z" fill={hot} opacity=".35" stroke="none" /><path
			d="M18 56H34"
			stroke={hot}
			stroke-width="3" /><path d="M88 30L94 94H130L136 30" /><path
			d="M91 56L94 94H130L133 56Z"
			fill={work}
			opacity=".5"
			stroke="none" /><path d="M126 56H142" stroke={work} stroke-width="3" />
		<text x="40" y="84" font-size="20" font-weight="700" fill={ink} stroke="none">A</text><text
			x="104"
			y="84"
			font-size="20"
			font-weight="700"
			fill={ink}
			stroke="none">B</text>
	{:else if draw === 'scrape'}
		<path d="M44 22L54 96H106L116 22" stroke-width="3" /><path d="M48 52L54 94H106L112 52Z" fill={rubber} stroke="none" /><path
			d="M104 8L60 88"
			stroke={work}
			stroke-width="7" /><path d="M64 92H98M92 88L98 92L92 96" stroke={hot} stroke-width="3" /><path
			d="M52 86L48 56M44 62L48 56L54 60"
			stroke={hot}
			stroke-width="3" />
	{:else if draw === 'drops'}
		<path d="M50 40H110V98H50Z" fill={rubber} /><path d="M62 40V26H98V40" /><path
			d="M58 20H102"
			stroke={work}
			stroke-width="6" />{#each [22, 38, 124, 138] as x (x)}<path
				d="M{x} 44Q{x - 6} 54 {x} 58Q{x + 6} 54 {x} 44Z"
				fill={hot}
				stroke="none"
				opacity=".8" />{/each}<text x="70" y="80" font-size="24" font-weight="700" fill={ink} stroke="none">A</text>
	{:else if draw === 'clock'}
		<path d="M18 60L22 92H46L50 60" /><path d="M20 74L22 92H46L48 74Z" fill={work} opacity=".5" stroke="none" /><path
			d="M92 22L100 96H142L150 22" /><path d="M94 40L100 96H142L148 40Z" fill={hot} opacity=".5" stroke="none" /><path
			d="M112 34Q106 26 112 18M122 34Q116 26 122 18M132 34Q126 26 132 18"
			stroke={hot} /><path d="M58 70H86M78 62L86 70L78 78" />
	{:else if draw === 'budget'}
		<path d="M14 50H146V74H14Z" />{#each [[14, 34, rubber], [48, 30, work], [78, 24, rubber]] as [x, w, fill] (x)}<path
				d="M{x} 50H{Number(x) + Number(w)}V74H{x}Z"
				fill={String(fill)} />{/each}<path d="M126 38V86" stroke={hot} stroke-width="4" /><path
			d="M104 90H124M108 86L104 90L108 94M120 86L124 90L120 94"
			stroke={work} />
	{:else if draw === 'layers'}
		<path d="M34 20V96H126V20" stroke-width="4" />{#each [0, 1, 2, 3] as i (i)}<path
				d="M{38 + i * 6} 20V{92 - i * 6}H{122 - i * 6}V20"
				stroke={i === 3 ? hot : work}
				stroke-width={i === 3 ? 4 : 3}
				opacity={0.45 + i * 0.15} />{/each}<path d="M62 12Q80 2 98 12M92 6L98 12L91 15" />
	{:else if draw === 'drip'}
		<path d="M24 40H136V82H24Z" fill={rubber} /><ellipse cx="80" cy="60" rx="34" ry="14" fill={hot} opacity=".6" stroke="none" /><path
			d="M136 60Q144 70 140 82T144 100"
			stroke={work}
			stroke-width="3" /><path d="M44 24H60M52 16V32" opacity="0" /><path d="M80 12V36M74 30L80 36L86 30" stroke={hot} />
	{:else if draw === 'pot'}
		<path d="M40 34Q80 12 120 34V98H40Z" fill={rubber} /><path d="M34 38H126" stroke-width="5" /><path
			d="M60 56H100V98H60Z"
			fill="var(--paper)" /><circle cx="72" cy="76" r="8" stroke={hot} /><circle cx="91" cy="76" r="4" fill={work} stroke="none" /><path
			d="M80 24V6H108" /><circle cx="118" cy="10" r="9" /><path d="M118 10L123 5" stroke={hot} />
	{:else if draw === 'hold'}
		<path d="M18 92H146M18 92V12" /><path d="M18 92Q26 30 40 28H112Q120 30 124 90" stroke={work} stroke-width="4" /><path
			d="M96 12V92"
			stroke={hot}
			stroke-dasharray="4 4" /><path d="M100 20H118" stroke={hot} />
	{:else if draw === 'edges'}
		<path d="M24 52Q24 96 48 96H112Q136 96 136 52Q124 74 80 74Q36 74 24 52Z" fill={rubber} /><path
			d="M52 66V22Q80 8 108 22V66Q80 74 52 66Z"
			fill={ink}
			opacity=".7"
			stroke="none" /><path d="M24 52Q14 40 10 52M136 52Q146 40 150 52" stroke={hot} stroke-width="3" />
	{:else if draw === 'wear'}
		{#each [0, 1, 2, 3] as i (i)}<path d="M{6 + i * 39} 34H{36 + i * 39}V80H{6 + i * 39}Z" fill={rubber} />{/each}
		<path d="M12 44L20 40M12 54L28 46" stroke={work} stroke-width="3" /><path d="M51 58Q60 46 69 58" stroke-dasharray="2 4" /><path
			d="M84 34L92 46L99 36"
			stroke={hot}
			stroke-width="3" /><path d="M138 34V80M134 40L142 48M134 60L142 68" stroke={hot} stroke-width="3" />
	{:else}
		<path d="M38 10H122V100H38Z" fill="var(--paper)" />{#each [28, 44, 60, 76] as y, i (y)}<path
				d="M50 {y}H{i === 3 ? 84 : 110}"
				stroke={i === 0 ? work : ink} />{/each}<path d="M96 90L134 52L142 60L104 98L94 100Z" fill={hot} stroke="none" />
	{/if}
</svg>
