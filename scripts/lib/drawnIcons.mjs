/** An icon of the library: its name and what it is drawn of. */
const DATA = /const iconData = (\{.*\});/;

const attributes = (of) =>
	Object.entries(of)
		.map(([name, value]) => ` ${name}="${value}"`)
		.join('');

/**
 * Draws the icon library's icons when the application is built: as they come, each is put together anew, part by part, on
 * every page that wakes, and a page has thirty. They take a class and are always mere decoration.
 * @type {import('svelte/compiler').PreprocessorGroup}
 * @example
 * preprocess: [drawnIcons, vitePreprocess()]
 */
export const drawnIcons = {
	name: 'drawn-icons',
	markup({ content, filename = '' }) {
		if (!/@lucide[\\/]svelte[\\/]dist[\\/]icons[\\/][\w-]+\.svelte$/.test(filename)) return;
		const found = DATA.exec(content);
		// told loudly: a newer library may keep them otherwise
		if (!found) throw new Error(`${filename} says nowhere what it is drawn of.`);
		const { node, size } = JSON.parse(found[1]);
		const parts = node.map(([tag, of]) => `<${tag}${attributes(of)} />`).join('');
		const code = `<script>let { class: more } = $props();</script>
<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}" viewBox="0 0 ${size} ${size}" fill="none" stroke="currentColor" stroke-width="2" stroke-linecap="round" stroke-linejoin="round" class={['lucide-icon', more]} aria-hidden="true">${parts}</svg>`;
		return { code };
	}
};
