const words = new URL('./globals.mjs', import.meta.url).href;

/** Tests name what they use of Jest; outside of a context of Jest's own that package refuses to be imported. */
export const resolve = (name, context, next) =>
  name === '@jest/globals' ? { url: words, shortCircuit: true } : next(name, context);
