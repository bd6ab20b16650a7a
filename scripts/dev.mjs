// Server that restarts on changes, and the pages with hot reload, side by side.
import { spawn } from 'node:child_process';

const children = [
  spawn(process.execPath, ['--watch', '--import', 'tsx', 'server/main.ts', '--demo'], { stdio: 'inherit' }),
  spawn('node_modules/.bin/vite', [], { stdio: 'inherit' }),
];
const stop = () => children.forEach((c) => c.kill('SIGTERM'));
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
children.forEach((c) => c.on('exit', stop));
