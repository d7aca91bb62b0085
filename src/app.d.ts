import type { WorkshopSettings } from '$lib/core/workshop';

declare global {
	namespace App {
		interface Locals {
			settings: WorkshopSettings;
			theme: 'light' | 'dark' | 'system';
		}
		interface Error {
			message: string;
			/** What to quote when a page failed. */
			reference?: string;
		}
	}
}

export {};
