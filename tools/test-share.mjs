// Prints what share of the code lines are tests. Generated code does not count, nor do blank lines.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { cwd: root, encoding: 'utf8' })
  .split('\n')
  .filter((file) => /\.(java|tsx?|sql|css)$/.test(file));
const lines = (file) =>
  readFileSync(root + file, 'utf8')
    .split('\n')
    .filter((line) => line.trim()).length;
const sum = (some) => some.reduce((total, file) => total + lines(file), 0);
const isTest = (file) => /(^|\/)src\/test\/|^e2e\/|\.test\.tsx?$/.test(file);
const tests = sum(files.filter(isTest));
const all = sum(files);
console.log(`Tests are ${((tests / all) * 100).toFixed(1)} % of ${all} code lines (wanted: 25 to 33 %).`);
