import loadHighs from 'highs';
import type { LinearModel } from '../../src/core/ahead/model.ts';
import { solveModel } from '../../src/ui/ahead/solver.ts';

let loaded: ReturnType<typeof loadHighs> | null = null;

/** Solves a model to the end, in this process. */
export async function solve(model: LinearModel): Promise<ReturnType<typeof solveModel>> {
  const highs = await (loaded ??= loadHighs());
  return solveModel(highs, model, { seconds: 60, gap: 0 });
}
