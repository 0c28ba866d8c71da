import { readFile } from 'node:fs/promises';
import { fileURLToPath } from 'node:url';
import { runnerImport, transformWithOxc, type Plugin } from 'vite';
import type * as Core from '@necessaire/core';

const SCRIPT = fileURLToPath(new URL('./presses.ts', import.meta.url));
const CORE = fileURLToPath(new URL('../../core/src/index.ts', import.meta.url));
const NAME = 'before.js';
/** What the first view is set in: fetched beside the script, so that no line is set twice. */
const FIRST_FONTS = ['barlow-latin-400-normal', 'barlow-condensed-latin-600-normal'];
const escaped = (text: string) => text.replace(/[&<>"]/gu, (c) => `&#${c.charCodeAt(0)};`);

/** The presses of Road as plain links of the page itself: a press leads where the address leads. */
const links = ({ FAULT_TREES }: typeof Core): string =>
  FAULT_TREES.map(
    (t) =>
      `<a href="/road?seek=${t.id}" data-symptom="${t.id}"${t.inOrder ? ' data-first' : ''}>${escaped(t.symptom)}` +
      (t.first ? `<span hidden>${escaped(t.first)}</span>` : '') +
      '</a>',
  ).join('');

/** Writes the presses of Road into the page, and beside it the small script that takes a press before the program is there. */
export function beforeStart(): Plugin {
  const script = async () =>
    (await transformWithOxc(await readFile(SCRIPT, 'utf8'), SCRIPT, { sourcemap: false })).code.replace(
      /^export \{\};?$/mu,
      '',
    );
  return {
    name: 'before-start',
    transformIndexHtml: {
      order: 'post',
      handler: async (html, { bundle }) => ({
        html: html.replace('<!-- presses -->', links((await runnerImport<typeof Core>(CORE)).module)),
        tags: [
          { tag: 'script', attrs: { src: `/${NAME}` }, injectTo: 'body' },
          ...Object.keys(bundle ?? {})
            .filter((file) => FIRST_FONTS.some((font) => file.includes(font) && file.endsWith('.woff2')))
            .map((file) => ({
              tag: 'link',
              attrs: { rel: 'preload', as: 'font', type: 'font/woff2', crossorigin: '', href: `/${file}` },
              injectTo: 'head' as const,
            })),
        ],
      }),
    },
    async generateBundle() {
      this.emitFile({ type: 'asset', fileName: NAME, source: await script() });
    },
    configureServer(server) {
      server.middlewares.use(`/${NAME}`, (_request, response) => {
        void script().then((code) => response.setHeader('Content-Type', 'text/javascript').end(code));
      });
    },
  };
}
