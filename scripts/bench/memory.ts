// Reads a file of vCards once, by our reader, by ical.js, or not at all, and prints the most memory that the process had.
import { readFileSync } from 'node:fs';

import ICAL from 'ical.js';

import { getFormat } from '@/core/formats';

const [file = '', reader = 'none'] = process.argv.slice(2);
const bytes = new Uint8Array(readFileSync(file));
const kept: unknown[] = [];
if (reader === 'ours') kept.push(getFormat('vcard4')?.read?.(bytes));
// What ical.js takes is text, which counts as its own.
if (reader === 'ical') kept.push(ICAL.parse(Buffer.from(bytes).toString('utf8')));
console.log(JSON.stringify({ reader, kept: kept.length, maxRssKb: process.resourceUsage().maxRSS }));
