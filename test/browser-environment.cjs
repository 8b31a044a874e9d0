const { TestEnvironment } = require('jest-environment-jsdom')

/** jsdom with what the router, the store and the charts look for and jsdom lacks, handed over from Node.js. */
module.exports = class BrowserEnvironment extends TestEnvironment {
  async setup() {
    await super.setup()
    const given = [
      'structuredClone',
      'TextEncoder',
      'TextDecoder',
      'Request',
      'Response',
      'Headers',
      'AbortController',
      'AbortSignal',
      'Uint8Array',
      'ArrayBuffer',
    ]
    for (const name of given) this.global[name] = globalThis[name]
    this.global.ResizeObserver = class {
      observe() {}
      unobserve() {}
      disconnect() {}
    }
    this.global.IntersectionObserver = this.global.ResizeObserver
    // A worker that is still at it: what screens show before the model has answered.
    this.global.Worker = class extends this.global.EventTarget {
      postMessage() {}
      start() {}
      terminate() {}
    }
    this.global.Element.prototype.scrollIntoView = () => undefined
    this.global.Element.prototype.hasPointerCapture = () => false
    this.global.matchMedia = (media) => ({
      media,
      matches: false,
      addEventListener() {},
      removeEventListener() {},
    })
  }
}
