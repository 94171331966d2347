import { CROP_TABLE } from '$core/crops/table.ts';

/** The library as an open file. */
export const GET = () =>
  new Response(CROP_TABLE, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="crops.csv"'
    }
  });
