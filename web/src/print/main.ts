/** Draws for paper: a list of wanted drawings as JSON on standard input, their SVG as a list on standard output. */
import { text } from 'node:stream/consumers';
import { printed, type Wanted } from './print';

const wanted = JSON.parse(await text(process.stdin)) as Wanted[];
process.stdout.write(JSON.stringify(wanted.map((one, i) => printed(one, i))));
