import { chromium } from 'playwright-core';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu','--disable-quic','--no-first-run'] });
const p = await b.newPage({ viewport: { width: 1280, height: 1000 } });
p.on('console', m => m.type()==='error' && console.log('ERR', m.text())); p.on('pageerror', e => console.log('PE', e.message));
await p.goto('http://127.0.0.1:4555/cupboard/cloths/tq-harbour-linen?test=overhang'); await p.waitForTimeout(1200);
await p.locator('input[type=file]').setInputFiles('/tmp/hang-45-90.png');
await p.getByText(/Bending length .* by this picture/).waitFor({ timeout: 30000 });
await p.getByRole('region', {name:'By a photograph'}).scrollIntoViewIfNeeded();
await p.screenshot({ path: '/tmp/shot1.png' });
await p.getByRole('button', { name: 'Put it in' }).click();
await p.goto('http://127.0.0.1:4555/cupboard/cloths/tq-harbour-linen?test=see-through'); await p.waitForTimeout(1200);
await p.getByText('by a photograph with card 8').click();
await p.locator('input[type=file]').setInputFiles('/tmp/con-0.3.png');
await p.getByText(/Opacity .* throws back/).waitFor({ timeout: 30000 });
await p.getByRole('button', { name: 'Put it in' }).click();
await p.screenshot({ path: '/tmp/shot2.png' });
for (const n of ['cards']) { const r = await p.request.get('http://127.0.0.1:4555/api/prints/cards.pdf'); console.log(r.status()); (await import('fs')).writeFileSync('/tmp/cards.pdf', await r.body()); }
await b.close();
