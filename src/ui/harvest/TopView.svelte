<script lang="ts">
  import { t } from '$messages/t.ts';
  import { oneStop } from '$ui/fields/oneStop.ts';
  import { piecesOf } from '$core/harvest/pieces.ts';
  import type { Tint } from '$core/picture/habit.ts';
  import type { SowingSetup } from '$core/sowing/sowing.ts';
  import { pieceWords } from '$words/harvest.ts';

  /** The containers of a sowing seen from above: what stands is touched to be cut, one piece or drawn across. */
  interface Props {
    setup: SowingSetup;
    /** The colour of the crop's leaves. */
    leaf: Tint;
    /** Pieces that still stand. */
    standing: readonly number[];
    picked: readonly number[];
    onpick: (picked: number[]) => void;
  }
  let { setup, leaf, standing, picked, onpick }: Props = $props();

  const pieces = $derived(piecesOf(setup));
  const columns = $derived(pieces.kind === 'cells' ? Math.ceil(pieces.each / 2) : pieces.each);
  const rows = $derived(pieces.kind === 'cells' && pieces.each > 1 ? 2 : 1);
  const sides = $derived(
    setup.container.shape === 'round'
      ? 1
      : (setup.container.widthCm * rows) /
          (setup.container.lengthCm * (pieces.kind === 'cells' ? columns : 1))
  );
  /** While a finger is drawn across: whether it picks or lets go. */
  let drawing = $state<boolean | null>(null);

  function set(piece: number, on: boolean) {
    if (!standing.includes(piece) || picked.includes(piece) === on) return;
    onpick(on ? [...picked, piece] : picked.filter((one) => one !== piece));
  }
  const pieceAt = (x: number, y: number): number | null => {
    const found = document.elementFromPoint(x, y)?.closest('[data-piece]');
    return found instanceof HTMLElement ? Number(found.dataset.piece) : null;
  };
  function begin(event: PointerEvent, piece: number) {
    // A touch would be held by the piece it began on: let go, so that it is followed across the others.
    (event.target as Element).releasePointerCapture?.(event.pointerId);
    drawing = !picked.includes(piece);
    set(piece, drawing);
  }
  function follow(event: PointerEvent) {
    if (drawing === null) return;
    const piece = pieceAt(event.clientX, event.clientY);
    if (piece !== null) set(piece, drawing);
  }
</script>

<svelte:window onpointerup={() => (drawing = null)} onpointercancel={() => (drawing = null)} />

<div
  class="trays"
  style:--leaf={leaf === 'green' ? 'var(--leaf-green)' : `var(--leaf-${leaf}-tone)`}
  role="toolbar"
  tabindex="-1"
  use:oneStop
  aria-label={t('harvest.trayFromAboveTouchWhat')}
  onpointermove={follow}
>
  {#each { length: pieces.containers } as _, container (container)}
    <div
      class="tray {setup.container.shape}"
      style:grid-template-columns="repeat({columns}, minmax(0, 1fr))"
      style:aspect-ratio={1 / sides}
    >
      {#each { length: pieces.each } as _piece, index (index)}
        {@const piece = container * pieces.each + index}
        {@const stands = standing.includes(piece)}
        <button
          type="button"
          class:cut={!stands}
          class:picked={picked.includes(piece)}
          style:grid-row={rows === 1 ? 1 : index < columns ? 2 : 1}
          data-piece={piece}
          disabled={!stands}
          aria-pressed={picked.includes(piece)}
          aria-label="{pieces.containers > 1
            ? `${t('harvest.containerContainer', { container: container + 1 })} `
            : ''}{stands
            ? pieceWords(pieces.kind, index)
            : t('harvest.cutBefore', { piece: pieceWords(pieces.kind, index) })}"
          onpointerdown={(event) => begin(event, piece)}
          onclick={(event) => {
            // By keyboard; a pointer has picked it when it came down.
            if (event.detail === 0) set(piece, !picked.includes(piece));
          }}
        ></button>
      {/each}
    </div>
  {/each}
</div>

<style>
  .trays {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(12rem, 1fr));
    gap: 0.75rem;
    max-width: 30rem;
    touch-action: pan-y;
  }
  .tray {
    display: grid;
    gap: 2px;
    padding: 6px;
    border: 1.6px solid var(--ink);
    border-radius: 10px;
    background: var(--paper-sunk);
    min-height: 7rem;
    max-height: 16rem;
    overflow: hidden;
  }
  .round {
    border-radius: 50%;
    max-width: 15rem;
  }
  .cells {
    gap: 6px;
  }
  button {
    min-width: 0;
    min-height: 0;
    padding: 0;
    border: 0;
    cursor: pointer;
    /* Pairs of leaves from above, over their own shade. */
    --leaves:
      radial-gradient(ellipse 5px 3px at 32% 30%, rgb(255 255 255 / 0.34) 0 80%, transparent),
      radial-gradient(ellipse 3px 5px at 68% 62%, rgb(255 255 255 / 0.2) 0 80%, transparent),
      radial-gradient(ellipse 6px 4px at 45% 80%, rgb(0 0 0 / 0.22) 0 80%, transparent);
    background-color: var(--leaf);
    background-image: var(--leaves);
    background-size: 17px 15px;
    touch-action: pan-y;
  }
  .cells button {
    border-radius: 6px;
  }
  button.picked {
    outline: 3px solid var(--ink);
    outline-offset: -3px;
    background-image:
      repeating-linear-gradient(135deg, var(--paper) 0 2px, transparent 2px 13px), var(--leaves);
    background-size:
      auto,
      17px 15px;
  }
  button.cut {
    cursor: default;
    background-color: var(--soil);
    background-image: radial-gradient(circle at 50% 50%, var(--stem-green) 0 1.5px, transparent 2px);
    background-size: 8px 8px;
  }
</style>
