// npm run demo: everything from a fresh machine to a running workshop with demo data.
import { main } from './lib/say.mjs';
import { serve } from './lib/serve.mjs';

main(() => serve('demo'));
