<script lang="ts">
  import { t } from '$messages/t.ts';
  import { dndzone, setAriaStrings, TRIGGERS, type DndEvent } from 'svelte-dnd-action';
  import { pictureOf, picturesOf } from '$core/picture/picture.ts';
  import type { Board, Spot } from '$core/shelf/board.ts';
  import { footprints } from '$core/shelf/stack.ts';
  import type { Standing } from '$core/sowing/standing.ts';
  import { cropNames, containersWords } from '$words/containers.ts';
  import TrayDrawing from '$ui/tray/TrayDrawing.svelte';

  interface Props {
    board: Board;
    now: number;
    /** Pixels to the cm, the same for every place. */
    scale: number;
    selected: string | null;
    onselect: (standing: Standing) => void;
    /** A tray was dropped here that stood elsewhere. */
    ondrop: (key: string) => void;
  }
  // Otherwise the package adds its own instructions in English.
  setAriaStrings({
    zoneActiveInstruction: t('shelf.dragHow'),
    zoneDragDisabledInstruction: t('shelf.dragOff')
  });
  let { board, now, scale, selected, onselect, ondrop }: Props = $props();

  interface Item {
    id: string;
    standing: Standing;
    widthCm: number;
    needs: Spot['needs'];
  }
  const standing = $derived<Item[]>([
    ...board.spots.map(({ standing: one, widthCm, needs }) => ({
      id: one.key,
      standing: one,
      widthCm,
      needs
    })),
    ...board.crowdedOut.map((one) => ({
      id: one.key,
      standing: one,
      widthCm: one.sowings[0]!.setup.container.lengthCm,
      needs: 'light' as const
    }))
  ]);
  /** While something is dragged over it, what the drag says stands here. */
  let dragged = $state<Item[] | null>(null);
  const items = $derived(dragged ?? standing);

  function consider(event: CustomEvent<DndEvent<Item>>) {
    dragged = event.detail.items;
  }
  function finalize(event: CustomEvent<DndEvent<Item>>) {
    dragged = null;
    const { id, trigger } = event.detail.info;
    if (trigger === TRIGGERS.DROPPED_INTO_ZONE && standing.every((item) => item.id !== id)) ondrop(id);
  }
  const tallest = $derived(
    Math.max(
      14,
      ...items.map(
        ({ standing: { sowings } }) =>
          Math.max(...sowings.map((one) => pictureOf(one, now).stems?.heightCm ?? 0)) + 8
      )
    )
  );
</script>

<div
  class="board {board.place.light.kind}"
  style:width="{board.widthCm * scale}px"
  style:min-height="{tallest * scale + 30}px"
>
  {#if board.place.light.kind === 'lamp'}<span class="tube" aria-hidden="true"></span>{/if}
  <div
    class="trays"
    role="list"
    aria-label={t('shelf.traysOnName', { name: board.place.name })}
    use:dndzone={{
      items,
      type: 'trays',
      flipDurationMs: 0,
      dropTargetStyle: {},
      dropTargetClasses: ['over'],
      delayTouchStart: true,
      zoneTabIndex: -1,
      zoneItemTabIndex: -1,
      autoAriaDisabled: true
    }}
    onconsider={consider}
    onfinalize={finalize}
  >
    {#each items as item (item.id)}
      {@const { sowings } = item.standing}
      {@const { setup } = sowings[0]!}
      {@const pictures = picturesOf(sowings, now)}
      {@const picture = { ...pictures[0], light: 'off' as const }}
      {@const stacked = footprints(item.standing) < setup.count}
      <div class="spot" role="listitem" style:width="{Math.max(30, item.widthCm * scale)}px">
        <button
          class:on={selected === item.id}
          aria-pressed={selected === item.id}
          onclick={() => onselect(item.standing)}
        >
          <span class="drawn" class:stacked>
            {#each { length: setup.count } as _, one (one)}
              <TrayDrawing
                picture={stacked && one > 0 ? { ...picture, cover: 'none' } : picture}
                beside={pictures[1] ?? null}
                label=""
                scene={Math.max(120, picture.widthCm * 10 + 12)}
              />
            {/each}
          </span>
          <span class="name"
            >{cropNames(sowings)}
            <span class="soft small">{containersWords(setup)}{stacked ? ` · ${t('shelf.stacked')}` : ''}</span
            ></span
          >
          <span class="visually-hidden"> · {t('shelf.move')}</span>
        </button>
      </div>
    {/each}
  </div>
</div>

<style>
  .board {
    position: relative;
    max-width: 100%;
    box-sizing: border-box;
    border-bottom: 6px solid var(--soil);
    display: flex;
    align-items: end;
  }
  .board.lamp {
    background: linear-gradient(var(--beam), transparent 85%);
  }
  .board.sill {
    background: linear-gradient(var(--sky), transparent 90%);
    border-inline: 2px solid var(--ink-faint);
  }
  .board.dark {
    background: var(--paper-sunk);
  }
  .tube {
    position: absolute;
    top: 0;
    left: 8%;
    right: 8%;
    height: 8px;
    border-radius: 0 0 6px 6px;
    background: var(--window);
  }
  .trays {
    display: flex;
    flex-wrap: wrap-reverse;
    align-items: end;
    gap: 0.5rem;
    width: 100%;
    min-height: 6rem;
    padding: 1rem 0.5rem 0;
    box-sizing: border-box;
  }
  .trays:global(.over) {
    outline: 3px dashed var(--beet);
    outline-offset: -3px;
  }
  .drawn.stacked {
    display: flex;
    flex-direction: column;
  }
  .drawn :global(svg) {
    flex: 1 1 0;
    min-width: 0;
  }
  .spot {
    flex: none;
    min-width: 4.5rem;
    max-width: 100%;
  }
  .spot button {
    display: block;
    width: 100%;
    padding: 0;
    border: 2px solid transparent;
    border-radius: 8px;
    background: none;
    color: var(--ink);
    font: inherit;
    cursor: grab;
  }
  .spot button.on {
    border-color: var(--beet);
    background: var(--beet-soft);
  }
  .drawn {
    display: flex;
    align-items: end;
  }
  .name {
    display: block;
    font-size: 0.875rem;
    line-height: 1.2;
    padding-bottom: 0.2rem;
  }
</style>
