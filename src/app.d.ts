import type { IncomingMessage } from 'node:http';
import type { WorkshopSettings } from '$lib/core/workshop';

declare global {
	namespace App {
		interface Locals {
			settings: WorkshopSettings;
			theme: 'light' | 'dark' | 'system';
			/** The database was away while this was answered. */
			away?: true;
		}
		interface Platform {
			/** The request as the Node server has it. */
			req: IncomingMessage;
		}
		interface Error {
			message: string;
			/** What to quote when a page failed. */
			reference?: string;
		}
	}
}

export {};
