import { readFileSync } from 'node:fs';
import { run } from './run';

const { out, err, code } = run(process.argv.slice(2), {
  readFile: (path) => readFileSync(path, 'utf8'),
  readInput: () => readFileSync(0, 'utf8'),
});
if (err) process.stderr.write(err);
process.stdout.write(out, () => process.exit(code));
