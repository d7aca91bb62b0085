import { describe, expect, it } from 'vitest';
import { refusal } from './access';

const request = (method: string, headers: Record<string, string>) =>
	new Request('http://127.0.0.1/', { method, headers });

describe('who may talk to the server', () => {
	it.each([
		['GET', { host: '127.0.0.1:4610' }],
		['GET', { host: 'localhost:4610', origin: 'http://evil.example' }],
		['POST', { host: 'localhost:4610', origin: 'http://localhost:4610' }],
		['POST', { host: '[::1]:4610', origin: 'http://[::1]:4610' }],
		['POST', { host: '192.168.1.20:4610', origin: 'http://192.168.1.20:4610' }],
		['POST', { host: '127.0.0.1:4610' }],
		['POST', { host: 'bench.local', origin: 'https://bench.local' }]
	])('%s %j is let in', (method, headers) => {
		expect(refusal(request(method, headers), 'bench.local')).toBeUndefined();
	});

	it.each([
		['POST', { host: '127.0.0.1:4610', origin: 'http://evil.example' }],
		['POST', { host: '127.0.0.1:4610', origin: 'http://127.0.0.1:9999' }],
		['POST', { host: '127.0.0.1:4610', origin: 'null' }],
		['DELETE', { host: '127.0.0.1:4610', origin: 'http://evil.example' }],
		['GET', { host: 'evil.example' }]
	])('%s %j is refused', (method, headers) => {
		expect(refusal(request(method, headers), 'bench.local')).toMatch(/another site|does not answer under/);
	});
});
