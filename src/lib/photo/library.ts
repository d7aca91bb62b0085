import cv from '@techstark/opencv-js';
import type { Library } from './visionTypes';

/** The library as the browser's bundle has it, wrapped: it answers to `then` for ever and cannot be awaited itself. */
export const library = { cv: cv as unknown as Library };
