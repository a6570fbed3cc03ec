import { mkdirSync, readdirSync } from 'node:fs';
import { readFile, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';

import express, { Router } from 'express';

import { texts } from '@/texts/hub/api';

/** 128 random bits: whoever knows the address may read the calendar. */
const TOKEN = /^[0-9a-f]{32}$/;

/**
 * A calendar of 100,000 days has some 30 MB; anything larger, or more calendars, would be an attempt to fill the
 * disk.
 */
const MAX_BYTES = '40mb';
const MAX_CALENDARS = 20;

/** The file of one calendar; undefined for anything that isn't a token, so that no other file can be named. */
function fileOf(folder: string, token: string | undefined): string | undefined {
  return token !== undefined && TOKEN.test(token) ? join(folder, `${token}.ics`) : undefined;
}

/** Stores the application's calendars under unguessable names. @param folder - made if missing */
export function calendarApi(folder: string): Router {
  mkdirSync(folder, { recursive: true });
  const router = Router();
  router.put(
    '/:token',
    express.text({ type: 'text/calendar', limit: MAX_BYTES }),
    async (request, response) => {
      const { token } = request.params;
      const file = typeof token === 'string' ? fileOf(folder, token) : undefined;
      const text: unknown = request.body;
      if (!file || typeof text !== 'string' || !text.startsWith('BEGIN:VCALENDAR'))
        return void response.status(400).json({ error: texts.thisIsNoCalendar });
      const others = readdirSync(folder).filter(
        (name) => name.endsWith('.ics') && join(folder, name) !== file,
      );
      if (others.length >= MAX_CALENDARS)
        return void response.status(409).json({ error: texts.thereAreCalendarsAlready(MAX_CALENDARS) });
      // Written to a temporary file and then renamed: a reader gets the old one or the new one, whole.
      await writeFile(`${file}.new`, text);
      await rename(`${file}.new`, file);
      response.status(204).end();
    },
  );
  router.delete('/:token', async (request, response) => {
    const file = fileOf(folder, request.params.token);
    if (file) await rm(file, { force: true });
    response.status(204).end();
  });
  return router;
}

/** Serves calendars to calendar programs: /calendar/TOKEN.ics. */
export function calendarFeed(folder: string): Router {
  const router = Router();
  router.get('/:name', async (request, response) => {
    const file = fileOf(folder, request.params.name.replace(/\.ics$/, ''));
    const text = file && (await readFile(file, 'utf8').catch(() => undefined));
    if (text === undefined) return void response.status(404).json({ error: texts.thereIsNoSuch });
    response.type('text/calendar').set('Cache-Control', 'private, max-age=900').send(text);
  });
  return router;
}
