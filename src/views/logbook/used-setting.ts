import type { Cover, Leaflet } from '../../core/layers';
import type { PressSetting } from '../../core/steps';
import type { LogEntry } from '../../store/log';

/** What to file as the setting that was used: the one a scrap found, else the leaflet's of the layer that is pressed. */
export function usedSetting(found: PressSetting | undefined, leaflet: Leaflet | undefined): LogEntry['settings'] {
  if (found) {
    const { ironDots, seconds, steam, cover } = found;
    return { ironDots, seconds, steam, cover: (cover === 'shoe' ? 'none' : cover) as Cover };
  }
  if (!leaflet) return { ironDots: 0, seconds: 0, steam: false, cover: 'none' };
  return { ironDots: leaflet.ironDots, seconds: leaflet.seconds, steam: leaflet.steam, cover: leaflet.cover };
}
