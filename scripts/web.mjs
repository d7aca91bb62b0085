// The web server's process: the built application, with the headers that every answer bears. Started by lib/web.mjs.
import { withHeaders } from './lib/headers.mjs';

const { server } = await import('../build/index.js');
withHeaders(server.server);
