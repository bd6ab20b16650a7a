// One door for every command. Plain Node, so that it works before anything is installed.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = dirname(dirname(fileURLToPath(import.meta.url)));
process.chdir(root);
const [command = 'demo', ...rest] = process.argv.slice(2);

const run = (name, args, options = {}) => spawnSync(name, args, { stdio: 'inherit', ...options });
// The configuration is bundled as it always was; what another way of loading it would ask is nobody's question here.
process.env.VITE_CONFIG_NATIVE_IGNORE_WARNING = 'true';

const must = (name, args, options) => {
  const { status, error } = run(name, args, options);
  if (status !== 0) {
    if (error) console.error(error.message);
    process.exit(status ?? 1);
  }
};
const bin = (name) => join('node_modules', '.bin', name);
const hash = (...files) =>
  createHash('sha256')
    .update(files.map((f) => readFileSync(f)).join('\n'))
    .digest('hex');

/** Installs what the lock file names, if that is not what is there. */
const install = () => {
  const mark = 'node_modules/.installed';
  const wanted = hash('package-lock.json');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return;
  console.log(
    'Installing packages. The database driver is compiled on the way: about three minutes on a new machine.',
  );
  must('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(mark, wanted);
};

/** A production install of a version that has been built (`npm ci --omit=dev`): it has what runs, and no tools. */
const shipped = () =>
  command === 'start' &&
  existsSync('dist/server/main.mjs') &&
  existsSync('node_modules/express') &&
  !existsSync('node_modules/vite');

const filesIn = (dir) =>
  readdirSync(dir, { withFileTypes: true }).flatMap((e) =>
    e.isDirectory() ? filesIn(join(dir, e.name)) : [join(dir, e.name)],
  );

/** Builds pages and server if a source is newer than they are. */
const build = (force = false) => {
  if (shipped()) return;
  const index = 'dist/web/index.html';
  const sources = [
    ...['web', 'core', 'contract', 'server', 'demo'].flatMap(filesIn),
    'vite.config.ts',
    'scripts/validators.ts',
    'scripts/bundle.mjs',
    'package-lock.json',
  ];
  const fresh = existsSync(index) && sources.every((f) => statSync(f).mtimeMs <= statSync(index).mtimeMs);
  if (fresh && !force) return;
  console.log('Building.');
  must(process.execPath, ['scripts/bundle.mjs', '--whole', 'server/main.ts', 'dist/server/main.mjs']);
  must(process.execPath, ['scripts/bundle.mjs', 'server/documents/worker.ts', 'dist/server/documents.mjs']);
  must(process.execPath, ['scripts/bundle.mjs', 'server/import/worker.ts', 'dist/server/import.mjs']);
  must(bin('vite'), ['build', '--logLevel', 'warn']);
};

/** Browsers of the tests come from Debian; installed when this runs as root and one is missing. */
const BROWSERS = {
  'chromium-headless-shell': ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'],
  'firefox-esr': ['/usr/bin/firefox-esr'],
};
const installed = (name) => BROWSERS[name].some((path) => existsSync(path));
const browsers = () => {
  const root = process.getuid?.() === 0;
  // Who may install gets the first way of each, who may not needs any.
  const missing = Object.keys(BROWSERS).filter(
    (name) => !(root ? existsSync(BROWSERS[name][0]) : installed(name)),
  );
  if (missing.length === 0) return;
  if (!root) {
    console.error(`Missing for the browser tests: apt-get install ${missing.join(' ')}`);
    return;
  }
  console.log(`Installing ${missing.join(' and ')} for the browser tests.`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  run('apt-get', ['update', '-qq'], { env });
  // One by one: without the second engine the first still runs.
  for (const name of missing)
    run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], {
      env,
      stdio: ['ignore', 'ignore', 'inherit'],
    });
};

/** Runs the server until it ends; what asks this process to stop asks the server. */
const serve = (args) => {
  const child = spawn(process.execPath, ['dist/server/main.mjs', ...args], {
    stdio: 'inherit',
    env: { DUSK_LOG: 'warn', ...process.env },
  });
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 1));
};

/** What failed and why, from either runner's report: shown once more at the end, where it is looked for. */
const failuresOf = (report) =>
  (report.testResults ?? []).flatMap((file) => [
    ...(file.status === 'failed' && file.assertionResults.length === 0
      ? [`${file.name}\n${file.message}`]
      : []),
    ...file.assertionResults
      .filter((a) => a.status === 'failed')
      .map((a) => `${a.fullName}\n${a.failureMessages.join('\n')}`),
  ]);

/** Runs one part of the tests and reads its totals from the report it writes. */
const part = (name, args, report, totalsOf) => {
  console.log(`\n== ${name}`);
  if (report) rmSync(report, { force: true });
  const { status } = run(args[0], args.slice(1));
  const told = report && existsSync(report) ? JSON.parse(readFileSync(report, 'utf8')) : null;
  const totals = told
    ? totalsOf(told)
    : { passed: status === 0 ? 1 : 0, failed: status === 0 ? 0 : 1, skipped: 0 };
  return {
    name,
    ...totals,
    failed: status !== 0 && totals.failed === 0 ? 1 : totals.failed,
    reasons: told ? failuresOf(told) : [],
  };
};

/** Checks that use one processor each, two at a time; what each says is shown when it has ended. */
const together = async (checks) => {
  const results = new Map();
  const waiting = [...checks];
  const work = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      const [name, [command, ...args]] = next;
      const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'] });
      const said = [];
      for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => said.push(text));
      const status = await new Promise((resolve) => {
        child.on('error', (error) => {
          said.push(`${error.message}\n`);
          resolve(1);
        });
        child.on('close', resolve);
      });
      console.log(`\n== ${name}\n${Buffer.concat(said.map((s) => Buffer.from(s))).toString()}`.trimEnd());
      const good = status === 0;
      results.set(name, { name, passed: good ? 1 : 0, failed: good ? 0 : 1, skipped: 0, reasons: [] });
    }
  };
  await Promise.all([work(), work()]);
  return checks.map(([name]) => results.get(name));
};

const test = async () => {
  mkdirSync('.cache', { recursive: true });
  const vitest = (r) => ({
    passed: r.numPassedTests,
    failed: r.numFailedTests,
    skipped: r.numPendingTests + r.numTodoTests,
  });
  const playwright = ({ stats }) => ({
    passed: stats.expected + stats.flaky,
    failed: stats.unexpected,
    skipped: stats.skipped,
    flaky: stats.flaky,
  });
  const both = (project) => [
    bin('vitest'),
    'run',
    '--project',
    project,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=.cache/${project}.json`,
  ];
  const parts = [
    ...(await together([
      ['lint', [bin('eslint'), '.', '--max-warnings', '0']],
      ['types of the pages', [bin('vue-tsc'), '--noEmit', '-p', 'web/tsconfig.json']],
      ['types', [bin('tsc'), '--noEmit', '-p', 'tsconfig.json']],
      ['types of the tools', [bin('tsc'), '--noEmit', '-p', 'e2e/tsconfig.json']],
      ['format', [bin('prettier'), '--check', '--log-level', 'warn', '.']],
      ['licences', [process.execPath, 'scripts/licences.mjs']],
    ])),
    part('unit', both('unit'), '.cache/unit.json', vitest),
    part('server', both('server'), '.cache/server.json', vitest),
  ];
  build();
  browsers();
  parts.push(
    installed('chromium-headless-shell')
      ? part('browser', [bin('playwright'), 'test', ...rest], '.cache/browser.json', playwright)
      : { name: 'browser', passed: 0, failed: 1, skipped: 0 },
    part('second engine', both('engine'), '.cache/engine.json', vitest),
  );
  console.log('');
  for (const p of parts)
    for (const reason of p.reasons ?? []) console.log(`FAILED  ${p.name}: ${reason.slice(0, 2000)}\n`);
  for (const p of parts)
    console.log(
      `${p.name.padEnd(20)} ${p.passed} passed, ${p.failed} failed${p.skipped ? `, ${p.skipped} skipped` : ''}${p.flaky ? `, ${p.flaky} only at the second try` : ''}`,
    );
  const sum = (key) => parts.reduce((total, p) => total + p[key], 0);
  console.log(`\n${sum('passed')} passed, ${sum('failed')} failed, ${sum('skipped')} skipped`);
  process.exit(sum('failed') > 0 ? 1 : 0);
};

const commands = {
  demo: () => {
    build();
    serve(['--demo', ...rest]);
  },
  start: () => {
    build();
    serve(rest);
  },
  build: () => build(true),
  test,
  bench: () => {
    build();
    must(process.execPath, ['scripts/bench.mjs', ...rest]);
  },
  attack: () => {
    build();
    must(process.execPath, ['--import', 'tsx', 'scripts/attack/index.ts', ...rest]);
  },
  shots: () => {
    build();
    must(process.execPath, ['--import', 'tsx', 'scripts/screenshots.ts', ...rest]);
  },
  mutate: () => {
    const [room = 'cards', ...more] = rest;
    must(bin('stryker'), ['run', 'stryker.config.mjs', ...more], {
      env: { ...process.env, MUTATE_ROOM: room },
    });
  },
  dev: () => {
    const { status } = run(process.execPath, ['scripts/dev.mjs']);
    process.exit(status ?? 0);
  },
};

const act = commands[command];
if (!act) {
  console.error(`Unknown command “${command}”. There are: ${Object.keys(commands).join(', ')}.`);
  process.exit(1);
}
if (!shipped()) install();
await act();
