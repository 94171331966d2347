import loadHighs, { type Highs } from 'highs';
import type { LinearModel } from './model.ts';

/** How far a solver has come: what the best it has costs, and what nothing can cost less than. */
export interface Progress {
  bestG: number;
  boundG: number;
}

interface Limits {
  seconds: number;
  /** It is enough to be within this share of the bound. */
  gap: number;
  /** Columns to start from. */
  from?: Float64Array;
  onprogress?: (progress: Progress) => void;
  /** Better columns, as they are found. */
  onbetter?: (columns: Float64Array) => void;
}

/** Solves a model with HiGHS, for as long as it may take. */
function solveModel(
  highs: Highs,
  model: LinearModel,
  { seconds, gap, from, onprogress, onbetter }: Limits
): { columns: Float64Array; proved: boolean; progress: Progress } {
  const { callbackType, modelStatus, objectiveSense } = highs.constants;
  const bound = (value: number): number =>
    value === Infinity ? highs.infinity : value === -Infinity ? -highs.infinity : value;
  const [starts, indices, values] = [[0], [] as number[], [] as number[]];
  for (const { columns, factors } of model.rows) {
    indices.push(...columns);
    values.push(...factors);
    starts.push(indices.length);
  }
  const [numCols, numRows] = [model.cost.length, model.rows.length];
  return highs.withModel(
    {
      numCols,
      numRows,
      sense: objectiveSense.minimize,
      offset: model.offset,
      colCost: model.cost,
      colLower: model.lower,
      colUpper: model.upper.map(bound),
      rowLower: model.rowLower.map(bound),
      rowUpper: model.rowUpper.map(bound),
      matrix: { format: 'csr', numCols, numRows, starts, indices, values },
      integrality: model.whole.map((whole) =>
        whole ? highs.constants.variableType.integer : highs.constants.variableType.continuous
      )
    },
    (problem) => {
      // Without its own output it tells nothing of its progress either; nobody prints it here.
      problem.options.set({ output_flag: true, time_limit: seconds, mip_rel_gap: gap });
      if (from) problem.setSolution({ colValue: from });
      const progress: Progress = { bestG: Infinity, boundG: -Infinity };
      problem.run({
        [callbackType.mipLogging](event) {
          progress.bestG = event.data.mip_primal_bound ?? progress.bestG;
          progress.boundG = event.data.mip_dual_bound ?? progress.boundG;
          onprogress?.({ ...progress });
        },
        [callbackType.mipImprovingSolution](event) {
          const columns = event.data.mip_solution;
          if (columns) onbetter?.(Float64Array.from(columns));
        }
      });
      const proved = problem.getModelStatus() === modelStatus.optimal;
      return { columns: Float64Array.from(problem.getSolution().colValue), proved, progress };
    }
  );
}

let loaded: ReturnType<typeof loadHighs> | null = null;

/** Solves a model to the end, or for so many seconds, in this process. */
export async function solve(
  model: LinearModel,
  limits: Partial<Limits> = {}
): Promise<ReturnType<typeof solveModel>> {
  const highs = await (loaded ??= loadHighs());
  return solveModel(highs, model, { seconds: 60, gap: 0, ...limits });
}
