import { expect } from '@playwright/test';
import { PORT } from './addresses';
import { test } from './test';

/** How much of the interface is sent for the first screen, at the most, in bytes as they go over the wire. */
const MOST = 250_000;

test.use({ firstVisit: true });

test('the first screen is small on the wire, pressed, and kept by the browser for good', async ({
  page,
}) => {
  const client = await page.context().newCDPSession(page);
  await client.send('Network.enable');
  let bytes = 0;
  const own = new Map<string, string>();
  client.on('Network.responseReceived', ({ requestId, response }) => {
    if (response.url.startsWith(`http://127.0.0.1:${PORT}/`) && !response.url.includes('/api/'))
      own.set(requestId, response.url);
  });
  client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (own.has(requestId)) bytes += encodedDataLength;
  });
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Brackenfold', exact: true }).first()).toBeVisible();
  console.log(`${bytes} bytes for the first screen`);
  expect(bytes).toBeGreaterThan(50_000);
  expect(bytes).toBeLessThan(MOST);
});

test('files named after what they hold are immutable and sent as the browser takes them', async ({
  request,
}) => {
  const html = await request.get('/');
  expect(html.headers()['cache-control']).toBe('no-cache');
  const script = /src="(\/assets\/[^"]+\.js)"/.exec(await html.text())![1]!;
  for (const [accepts, encoding] of [
    ['br, gzip', 'br'],
    ['gzip', 'gzip'],
    ['identity', undefined],
  ] as const) {
    const answer = await request.get(script, { headers: { 'accept-encoding': accepts } });
    expect(answer.status()).toBe(200);
    expect(answer.headers()['content-encoding']).toBe(encoding);
    expect(answer.headers()['content-type']).toMatch(/javascript/);
    expect(answer.headers()['cache-control']).toBe('public, max-age=31536000, immutable');
    expect(answer.headers()['content-security-policy']).toContain("script-src 'self'");
  }
});
