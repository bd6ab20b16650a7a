import fc from 'fast-check';

// The same cases at every run, so that a run says something about the code alone; DUSK_SEED looks at others.
fc.configureGlobal({ seed: Number(process.env['DUSK_SEED'] ?? 2027) });
