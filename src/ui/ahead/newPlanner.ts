/** The worker that plans, its script and its solver fetched when it is first asked for. */
export const newPlanner = (): Worker =>
  new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' });
