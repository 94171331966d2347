import { rebuild } from '../src/server/app/rebuild.ts';
import { closeDb, inHousehold } from '../src/server/db/connection.ts';
import { allHouseholds } from '../src/server/households/all.ts';
import { startCluster } from './lib/cluster.ts';
import { dataFolder, existingDataFolder } from './lib/dataFolder.ts';
import { ensureDatabase, operatorsDatabase, type Database } from './lib/database.ts';
import { ensurePostgres } from './lib/packages.ts';
import { runCommand, say } from './lib/say.ts';

/** A household with years of trays takes seconds. */
const LIMIT_MS = 10 * 60_000;

async function rebuildAll({ ownerUrl, appUrl }: Database): Promise<void> {
  process.env.BROTE_APP_URL = appUrl;
  const households = await allHouseholds(ownerUrl);
  for (const id of households) await inHousehold(id, (tx) => rebuild(tx), LIMIT_MS);
  const { length } = households;
  say(
    `Worked out anew for ${length} ${length === 1 ? 'household' : 'households'}: what trays taught, and which have ended.`
  );
}

/** Works out anew whatever is kept and follows from what happened: `npm run rebuild`, while Brote runs or not. */
await runCommand(async () => {
  const { DATABASE_URL: url } = process.env;
  try {
    if (url) return await rebuildAll(await operatorsDatabase(url, dataFolder('home')));
    const folder = existingDataFolder('home');
    const cluster = await startCluster(ensurePostgres(), folder, true);
    try {
      await rebuildAll(await ensureDatabase(cluster.adminUrl, 'brote', folder));
    } finally {
      if (cluster.begun) cluster.stop();
    }
  } finally {
    closeDb();
  }
});
