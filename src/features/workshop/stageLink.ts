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

/** Goes to a place of the bicycle that is open, at another stage; null to the stage as a whole. */
export function goToPlace(bicycleId: string, stage: Stage, place: string | null): void {
  window.history.pushState(null, '', place === null ? stageHref(bicycleId, stage) : placeHref(bicycleId, stage, place));
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
