import { EventEmitter } from 'node:events';
import { expect, test } from '@jest/globals';
import type { Request, Response } from 'express';
import type { Listener, Signals } from '../signals.js';
import { stream } from './stream.js';

test('what is heard before a stream is open is told once it is, after its head', async () => {
  const said: string[] = [];
  const res = Object.assign(new EventEmitter(), {
    closed: false,
    destroyed: false,
    set: () => void said.push('head'),
    flushHeaders: () => undefined,
    write: (text: string) => said.push(text.trim()),
    end: () => undefined,
  });
  const req = Object.assign(new EventEmitter(), { socket: { destroyed: false } });
  let heard: Listener | null = null;
  const signals = {
    listen: (_garage: string, listener: Listener) => {
      heard = listener;
      // Somebody else writes while the page is being joined.
      listener.reached?.(7);
      return Promise.resolve(() => said.push('stopped'));
    },
  };
  const opened = await stream(
    req as unknown as Request,
    res as unknown as Response,
    signals as unknown as Signals,
    'g',
    (write) => ({ reached: (edition) => write(`data: ${edition}`) }),
  );
  expect(opened).toBe(true);
  heard!.reached?.(8);
  res.emit('close');
  heard!.reached?.(9);
  expect(said).toEqual(['head', 'retry: 1000', 'data: 7', 'data: 8', 'stopped']);
});
