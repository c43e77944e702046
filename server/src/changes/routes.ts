import { changeRequestDocument, idSchema, parseChangeRequest, wholeDocument } from '@tasche/contract';
import { Router } from 'express';
import * as yup from 'yup';
import { idIn, jsonBody, required, type RouteContext } from '../http/route-context.js';
import type { Asks } from '../http/route-list.js';
import { applyChange } from './apply-change.js';
import { undoChange } from './undo-change.js';

const undoSchema = wholeDocument(
  yup
    .object({ id: required(idSchema) })
    .strict()
    .noUnknown('unknown field: ${unknown}'),
);

export const changeAsks: Asks = {
  'POST /changes': { body: changeRequestDocument },
  'POST /changes/:changeId/undo': { body: undoSchema },
};

export function changeRoutes({ orm, scopeOf }: RouteContext): Router {
  const router = Router();

  router.post('/changes', async (request, response) => {
    const change = parseChangeRequest(jsonBody(request));
    response.json(await applyChange(orm, await scopeOf(request), change));
  });

  router.post('/changes/:changeId/undo', async (request, response) => {
    const changeId = idIn(request, 'changeId');
    const { id } = undoSchema.validateSync(jsonBody(request), { strict: true });
    response.json(await undoChange(orm, await scopeOf(request), changeId, id));
  });
  return router;
}
