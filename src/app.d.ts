import type { IncomingMessage } from 'node:http';
import type { WorkshopSettings } from '$lib/core/workshop';
import type { Person } from '$lib/server/people/sessions';

declare global {
	namespace App {
		interface Locals {
			settings: WorkshopSettings;
			theme: 'light' | 'dark' | 'system';
			/** Whoever asks has to be known. */
			wantsSignIn: boolean;
			/** Who asks, where that is known. */
			person: Person | null;
			/** The device that somebody is signed in at, by its session's name. */
			device?: string | undefined;
			/** Its session has ended: what happened before then may still be sent, ms since 1970. */
			untilMs?: number;
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
