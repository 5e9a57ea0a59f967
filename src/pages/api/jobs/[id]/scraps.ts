import { scrapStartSchema } from '../../../../schemas/scraps';
import { endpoint, jsonEndpoint } from '../../../../server/endpoint';
import { startScrap, type ScrapAsked } from '../../../../server/scrap-work';
import { database } from '../../../../server/database';
import { scrapsOf } from '../../../../store/scraps';

export const GET = endpoint(({ params }) => ({ scraps: scrapsOf(database(), params['id']!) }));

/** Starts a scrap test for the job. */
export const POST = jsonEndpoint(
  scrapStartSchema,
  (asked, { params }) => startScrap(database(), params['id']!, asked as ScrapAsked),
  { status: 201 },
);
