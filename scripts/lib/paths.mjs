import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The project's folder. */
export const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
/** Everything that running the application leaves behind; not in git. ANTHYPOS_STATE names another folder. */
export const stateDir = process.env.ANTHYPOS_STATE ?? join(root, '.anthypos');
