import { chromium } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { buildServer } from './server/app.ts'
const app = await buildServer('/tmp/distx'); const base = await app.listen({host:'127.0.0.1',port:0})
setTimeout(()=>process.exit(3),100000)
const b = await chromium.launch({ executablePath:'/usr/bin/chromium', args:['--no-sandbox','--disable-gpu'] })
const long = 'Unbreakable'.repeat(8).slice(0,80)
for (const [name,w,h] of [['wide',1280,800],['phone',390,844]] as const) {
  const c = await b.newContext({viewport:{width:w,height:h},serviceWorkers:'block',reducedMotion:'reduce'}); const p = await c.newPage()
  p.on('pageerror',e=>console.log('pageerror',e.message))
  await p.goto(base+'/files'); await p.getByRole('heading',{level:1}).waitFor()
  const kept = readFileSync('test/backups/format-1.json','utf8').replace('"km":31,','"km":-31,').replace('"kind":"plan"','"kind":"inspection"').replaceAll('"name":"Heron"',`"name":"${long}"`)
  await p.getByLabel('Backup file').setInputFiles({name:'kept.json',mimeType:'application/json',buffer:Buffer.from(kept)})
  await p.getByText(/came in new/).waitFor()
  await p.screenshot({path:`/tmp/s-files-${name}.png`,fullPage:true})
  await p.goto(base+'/'); await p.getByRole('heading',{level:1}).waitFor(); await p.waitForTimeout(3000)
  await p.screenshot({path:`/tmp/s-today-${name}.png`})
  console.log(name,'scroll', await p.evaluate(()=>document.documentElement.scrollWidth))
  await p.goto(base+'/safe'); await p.getByText('newest first').waitFor()
  await p.screenshot({path:`/tmp/s-safe-${name}.png`})
  await p.goto(base+'/files'); await p.getByRole('heading',{level:1}).waitFor()
  await p.evaluate(()=>new Promise(r=>{indexedDB.deleteDatabase('jolt-mile').onsuccess=r}))
  await p.getByText('has deleted your log').waitFor()
  await p.screenshot({path:`/tmp/s-gone-${name}.png`})
  await c.close()
}
await b.close(); await app.close(); process.exit(0)
