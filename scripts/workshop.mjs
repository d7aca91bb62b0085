// npm run workshop: everything from a fresh machine to a workshop of one's own, empty at first.
import { main } from './lib/say.mjs';
import { serve } from './lib/serve.mjs';

main(() => serve('workshop'));
