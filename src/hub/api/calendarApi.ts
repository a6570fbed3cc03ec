import express, { Router } from 'express';

import { dropCalendar, findCalendar, type HubDb, putCalendar } from '@/hub/store';
import { texts } from '@/texts/hub/api';

/** 128 random bits: whoever knows the address may read the calendar. */
const TOKEN = /^[0-9a-f]{32}$/;

/**
 * A calendar of 100,000 days has some 30 MB; anything larger, or more calendars, would be an attempt to fill the
 * disk.
 */
const MAX_BYTES = '40mb';
const MAX_CALENDARS = 20;

/** A token; undefined for anything else. */
function tokenIn(text: unknown): string | undefined {
  return typeof text === 'string' && TOKEN.test(text) ? text : undefined;
}

/** Stores the application's calendars under unguessable names. */
export function calendarApi(db: HubDb): Router {
  const router = Router();
  router.put(
    '/:token',
    express.text({ type: 'text/calendar', limit: MAX_BYTES }),
    async (request, response) => {
      const token = tokenIn(request.params.token);
      const text: unknown = request.body;
      if (token === undefined || typeof text !== 'string' || !text.startsWith('BEGIN:VCALENDAR'))
        return void response.status(400).json({ error: texts.thisIsNoCalendar });
      if (!(await putCalendar(db, token, text, MAX_CALENDARS)))
        return void response.status(409).json({ error: texts.thereAreCalendarsAlready(MAX_CALENDARS) });
      response.status(204).end();
    },
  );
  router.delete('/:token', async (request, response) => {
    const token = tokenIn(request.params.token);
    if (token !== undefined) await dropCalendar(db, token);
    response.status(204).end();
  });
  return router;
}

/** Serves calendars to calendar programs: /calendar/TOKEN.ics. */
export function calendarFeed(db: HubDb): Router {
  const router = Router();
  router.get('/:name', async (request, response) => {
    const token = tokenIn(request.params.name.replace(/\.ics$/, ''));
    const text = token === undefined ? undefined : await findCalendar(db, token);
    if (text === undefined) return void response.status(404).json({ error: texts.thereIsNoSuch });
    response.type('text/calendar').set('Cache-Control', 'private, max-age=900').send(text);
  });
  return router;
}
