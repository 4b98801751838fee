import type { MouseEvent } from 'react';
import type { Stage } from '@/model/stages';
import { placeHref } from './usePlaceAt';

export function stageHref(bicycleId: string, stage: Stage): string {
  return `/bike?id=${encodeURIComponent(bicycleId)}&stage=${stage}`;
}

/** Goes to another stage of the bicycle that is open. The page stays, so that it takes no network and no time. */
export function goToStage(bicycleId: string, stage: Stage): void {
  window.history.pushState(null, '', stageHref(bicycleId, stage));
}

/** The address of what is next: a place within a stage, or the stage as a whole. */
export function nextHref(bicycleId: string, { stage, place }: { stage: Stage; place: string | null }): string {
  return place === null ? stageHref(bicycleId, stage) : placeHref(bicycleId, stage, place);
}

/** Goes to what is next on the bicycle that is open. */
export function goToNext(bicycleId: string, next: { stage: Stage; place: string | null }): void {
  window.history.pushState(null, '', nextHref(bicycleId, next));
}

/** For links to a stage of the open bicycle: a plain click stays in the page, any other is the browser's. */
export function onStageClick(bicycleId: string, stage: Stage) {
  return (event: MouseEvent) => {
    if (
      event.defaultPrevented ||
      event.button !== 0 ||
      event.metaKey ||
      event.ctrlKey ||
      event.shiftKey ||
      event.altKey
    )
      return;
    event.preventDefault();
    goToStage(bicycleId, stage);
  };
}
