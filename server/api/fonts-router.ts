import { Router } from 'express';
import * as shapes from '@sormet/core/api';
import { say } from '@sormet/core/said';
import { openFamilies, openFontFile } from '../files/open-fonts';
import { answer } from '../http/check';
import { Problem } from '../http/problem';

/** The open families of fonts that ship with the program, for sites to take in. */
export function fontsRouter(): Router {
  const router = Router();
  router.get('/', (_, response) =>
    answer(response, shapes.OpenFamilies, { families: openFamilies() }),
  );
  router.get('/:file', (request, response, next) => {
    const path = openFontFile(request.params.file);
    if (path === undefined) throw new Problem(404, say('no-file'));
    // They change with the version of the program alone; folders above may begin with a point.
    response.set('cache-control', 'private, max-age=86400');
    response.sendFile(path, { dotfiles: 'allow', cacheControl: false }, (error?: Error) => {
      if (error) next(error);
    });
  });
  return router;
}
