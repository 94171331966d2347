// One worker, for a siege to kill: what it was in the middle of is another's to finish.
import '../support/messages.ts';
import { Worker } from '../../src/server/jobs/worker.ts';

const [base = '', leaseS = '1'] = process.argv.slice(2);
new Worker(base, Number(leaseS)).start();
process.on('disconnect', () => process.exit());
process.send?.('working');
