import { createRequire } from 'node:module';
import { vision, type Library } from './vision';

/** The library for a check in Node, which takes it as it stands in its package. */
export const visionHere = () =>
	vision(() =>
		Promise.resolve({ library: { cv: createRequire(import.meta.url)('@techstark/opencv-js') as Library } })
	);
