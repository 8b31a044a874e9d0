import { resolve } from 'node:path'
import { chromium } from '@playwright/test'
import { buildServer } from './server/app.ts'
const [path,out,w='1280',h='800',extra=''] = process.argv.slice(2)
const app = await buildServer(resolve('dist'))
await app.listen({port:4455,host:'127.0.0.1'})
const b = await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu']})
const p = await (await b.newContext({viewport:{width:+w,height:+h},serviceWorkers:'block',deviceScaleFactor: 1, ...(extra.includes('dark')&&{colorScheme:'dark'})})).newPage()
p.on('console',m=>m.type()==='error'&&console.log(m.text())); p.on('pageerror',e=>console.log(String(e)))
await p.goto('http://127.0.0.1:4455/demo/')
await p.getByText(/Start with/).waitFor({timeout:60000})
await p.getByText('Working out the chains…').waitFor({state:'detached',timeout:60000}).catch(()=>{})
if(path!=='/') { await p.goto('http://127.0.0.1:4455'+path); await p.waitForTimeout(2500) }
await p.waitForTimeout(1200)
await p.screenshot({path:out, fullPage: extra.includes('full')})
await b.close(); await app.close(); process.exit(0)
