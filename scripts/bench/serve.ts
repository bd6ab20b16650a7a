import { spawn } from 'node:child_process';

/** The application in a process of its own, as it runs. */
export const serve = (dataDir: string): Promise<{ address: string; stop: () => Promise<void> }> =>
  new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['dist/server/main.mjs'], {
      env: { ...process.env, DUSK_DATA: dataDir, DUSK_PORT: '0', DUSK_LOG: 'silent' },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    const ended = new Promise<void>((done) => {
      child.on('exit', () => done());
    });
    child.on('exit', () => reject(new Error('the server ended')));
    child.stdout.on('data', (data: Buffer) => {
      const address = /is at (http:\S+)/.exec(data.toString())?.[1];
      if (address)
        resolve({
          address,
          stop: () => {
            child.kill('SIGTERM');
            return ended;
          },
        });
    });
  });
