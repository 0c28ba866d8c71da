#!/usr/bin/env node
// The core without a screen. The sources are TypeScript, so they are read through a loader.
import { register } from 'tsx/esm/api';

register();
const { main } = await import('../src/main.ts');
process.exitCode = await main(process.argv.slice(2));
