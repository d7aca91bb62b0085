import { expect, type Page } from '@playwright/test';

type Kind = 'scale' | 'infraredThermometer' | 'gauge' | 'hygrometer';
interface Said {
	value: number;
	second?: number;
	settled?: boolean;
}
const NAMES: Readonly<Record<Kind, string>> = {
	scale: 'Scale',
	infraredThermometer: 'Gun thermometer',
	gauge: 'Pot gauge',
	hygrometer: 'Thermo-hygrometer'
};
/** An instrument tells what it reads so often, ms. */
const EVERY_MS = 300;

/** A script that plays the four instruments of a bench: each posts what it says with its own token. */
export class Instruments {
	says: Record<Kind, Said> = {
		scale: { value: 0, settled: true },
		infraredThermometer: { value: 22.5 },
		gauge: { value: 0 },
		hygrometer: { value: 21.4, second: 44 }
	};
	readonly #page: Page;
	readonly #url: string;
	readonly #tokens: Readonly<Record<Kind, string>>;
	#timer: ReturnType<typeof setTimeout> | undefined;

	private constructor(page: Page, url: string, tokens: Record<Kind, string>) {
		this.#page = page;
		this.#url = url;
		this.#tokens = tokens;
		this.#next();
	}

	/** Sets them up on the instruments' page, as a maker does, and begins to play them. */
	static async setUp(page: Page, url: string): Promise<Instruments> {
		const settings = await page.context().newPage();
		await settings.goto(`${url}/settings/instruments`);
		const tokens = {} as Record<Kind, string>;
		for (const kind of Object.keys(NAMES) as Kind[]) {
			const name = `Played ${kind} ${Date.now() % 1_000_000}`;
			await settings.getByLabel('It reads as a').selectOption({ label: NAMES[kind] });
			await settings.getByLabel('Its name').fill(name);
			await settings.getByRole('button', { name: 'Add it' }).click();
			await expect(settings.getByRole('cell', { name, exact: true })).toBeVisible();
			tokens[kind] = (await settings.getByTestId('token').textContent())!.trim();
		}
		await settings.close();
		return new Instruments(page, url, tokens);
	}

	#next(): void {
		this.#timer = setTimeout(async () => {
			await Promise.allSettled(
				(Object.keys(this.#tokens) as Kind[]).map((kind) =>
					fetch(`${this.#url}/api/instruments/reading`, {
						method: 'POST',
						headers: {
							'content-type': 'application/json',
							authorization: `Bearer ${this.#tokens[kind]}`
						},
						body: JSON.stringify(this.says[kind]),
						signal: AbortSignal.timeout(2000)
					})
				)
			);
			if (this.#timer) this.#next();
		}, EVERY_MS);
	}

	/** Pours what is still to go onto what the scale shows. */
	async weigh(page: Page): Promise<void> {
		const status = page.getByTestId('scale-words');
		await expect(status).toContainText(/to go of/);
		await expect(status).not.toContainText('being zeroed');
		const wanted = Number(/to go of ([\d.]+)/.exec((await status.textContent())!)![1]);
		this.says.scale = { value: this.says.scale.value + wanted, settled: true };
		await expect(status).toContainText('Right');
	}

	/** Ends playing, and takes the instruments out of use. */
	async end(): Promise<void> {
		clearTimeout(this.#timer);
		this.#timer = undefined;
		const page = await this.#page.context().newPage();
		await page.goto(`${this.#url}/settings/instruments`);
		const out = page.getByRole('button', { name: /^Take out of use: Played/ });
		// by another name they would be left in use in silence
		await expect(out).not.toHaveCount(0);
		for (let left = await out.count(); left > 0; left--) {
			await out.first().click();
			await expect(out).toHaveCount(left - 1);
		}
		await page.close();
	}
}
