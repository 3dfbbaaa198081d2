import { Router } from 'express';
import path from 'node:path';
import { API, type CopiesResponse, type StudioCopy } from '@ythrion/core';
import { NotFound } from '../refusals/refusals';
import type { Gate } from '../gate/gate';
import type { Storage } from '../storage/storage';
import { checkStudio } from './check';
import { listCopies, makeCopy, type CopyFile } from '../storage/copies';
import { copiesFolder } from '../storage/dataFolder';
import { goBackTo } from './goBackTo';
import { isOverdue } from './dailyCopy';
import { clearOutlived } from './keep';

/** Copies of the studio: what there is, one more, the way back to one; and a look over the whole. */
export function backupRoutes(storage: Storage, gate: Gate, copy?: CopyFile): Router {
  const router = Router();
  const answer = async (): Promise<CopiesResponse> => {
    const copies = await listCopies(storage.folder);
    return { copies, overdue: isOverdue(copies, Date.now()) };
  };
  const named = async (name: string): Promise<StudioCopy> => {
    const copy = (await listCopies(storage.folder)).find((one) => one.name === name);
    if (!copy) throw new NotFound(`There is no copy called “${name}”.`);
    return copy;
  };
  router.get(API.copies, async (_request, response) => void response.json(await answer()));
  router.post(API.copies, async (_request, response) => {
    await makeCopy(storage.folder, 'asked', copy);
    await clearOutlived(storage.folder);
    response.status(201).json(await answer());
  });
  router.get(`${API.copies}/:name`, async (request, response) => {
    const { name } = await named(request.params.name);
    response.download(path.join(copiesFolder(storage.folder), name));
  });
  router.post(`${API.copies}/:name/restore`, async (request, response) => {
    const { name } = await named(request.params.name);
    // Nobody reads or writes while the file is another one.
    await gate.alone(() => storage.whileClosed(() => goBackTo(storage.folder, name)));
    response.status(201).json(await answer());
  });
  router.get(API.check, async (_request, response) => void response.json(await checkStudio(storage)));
  return router;
}
