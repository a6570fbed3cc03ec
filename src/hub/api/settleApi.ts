import { Router } from 'express';

import { type HubDb, inTransaction, withPicturesIn } from '@/hub/store';

/** Values that two sides have changed differently: what they are, and that they are settled. */
export function settleApi(db: HubDb): Router {
  const router = Router();
  router.get('/', async (_, response) => {
    const rows = await db.selectFrom('settle').selectAll().orderBy('id').execute();
    const values: object[] = [];
    for (const row of rows)
      values.push({ ...row, mine: await read(db, row.mine), theirs: await read(db, row.theirs) });
    response.set('Cache-Control', 'no-store').json(values);
  });
  router.delete('/:id', async (request, response) => {
    const id = Number(request.params.id);
    await inTransaction(db, (store) => store.deleteFrom('settle').where('id', '=', id).execute());
    response.status(204).end();
  });
  return router;
}

/** A value as it came. */
async function read(db: HubDb, text: string): Promise<unknown> {
  return JSON.parse(await withPicturesIn(db, text));
}
