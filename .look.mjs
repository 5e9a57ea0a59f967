import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { CHROMIUM_SWITCHES } from '/work/main/scripts/chromium-switches.mjs';
const server = spawn('node', ['scripts/serve.mjs','--demo','--port','4371'], { env: { ...process.env, NEMBREL_DB: '/tmp/look.db' }, stdio: 'ignore' });
const base='http://127.0.0.1:4371';
for (let i=0;i<100;i++){ try{ await fetch(base); break }catch{ await new Promise(r=>setTimeout(r,300)) } }
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM_SWITCHES });
const steps = (await import(process.argv[2])).default;
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
const page = await context.newPage();
const open = async (path) => { await page.goto(base+path); await page.waitForFunction(() => !document.querySelector('astro-island[ssr]')); await page.waitForTimeout(600); };
const shot = async (name) => page.screenshot({ path: `/tmp/look-${name}.png` });
try { await steps({ page, open, shot, base }); } catch (e) { console.log(e.message); await shot('error'); }
await browser.close(); server.kill(); process.exit(0);
