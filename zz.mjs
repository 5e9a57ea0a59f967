import { chromium } from 'playwright-core';
const [,, ...jobs] = process.argv; // url|file|w|h|opts
const b = await chromium.launch({ executablePath:'/usr/bin/chromium', args:['--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync'] });
for (const j of jobs) { const [u,f,w=1280,h=800,opt=''] = j.split('|');
 const c = await b.newContext({ viewport:{width:+w,height:+h}, colorScheme: opt.includes('dark')?'dark':'light', deviceScaleFactor:1 });
 const p = await c.newPage();
 await p.addInitScript(()=>{ window.__cls=0; window.__sh=[]; new PerformanceObserver(l=>{for(const e of l.getEntries()) if(!e.hadRecentInput){window.__cls+=e.value; window.__sh.push([e.value, Math.round(e.startTime), ...e.sources.slice(0,4).map(s=>(s.node&&s.node.className||s.node&&s.node.nodeName||'?').toString().slice(0,60)+' '+JSON.stringify([s.previousRect.y,s.currentRect.y,s.currentRect.height]))]) } }).observe({type:'layout-shift',buffered:true}); });
 await p.goto('http://127.0.0.1:4555'+u,{waitUntil:'load'}); await p.waitForTimeout(1800);
 if (opt.startsWith('zoom')) await p.evaluate(()=>document.documentElement.style.fontSize='200%');
 console.log(u, 'cls', await p.evaluate(()=>window.__cls), JSON.stringify(await p.evaluate(()=>window.__sh)).slice(0,1500), 'scrollH', await p.evaluate(()=>document.documentElement.scrollHeight+' '+document.documentElement.scrollWidth));
 await p.screenshot({path:f}); await c.close(); }
await b.close();
