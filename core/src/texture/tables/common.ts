import type { AttributeTable } from '../family'
import { attribute } from './rows'

const GENERAL = 'general row for families that have none of their own; practice'

/**
 * Attributes as any food shows them: read where a family's own table says nothing, so that no part of an original's
 * profile goes unread.
 */
export const COMMON: readonly AttributeTable[] = [
  attribute('firmness', 'mean', 2, [
    ['log_gel_index', 'rise', [-0.5, 2.2], 0.4, GENERAL],
    ['log_visc_serve', 'rise', [-1.5, 2.5], 0.3, GENERAL],
    ['packed_fraction', 'rise', [0.45, 1.1], 0.3, GENERAL],
  ]),
  attribute('chewiness', 'product', 2, [['chew_network', 'rise', [2, 42], 1, GENERAL]]),
  attribute('cohesion', 'mean', 2, [
    ['binder_hot', 'rise', [-0.3, 1.5], 0.5, GENERAL],
    ['log_gel_index', 'rise', [-0.6, 1], 0.5, GENERAL],
  ]),
  attribute('springiness', 'mean', 2, [
    ['gluten_network', 'rise', [2, 26], 0.5, GENERAL],
    ['log_gel_index', 'rise', [0.3, 2.4], 0.5, GENERAL],
  ]),
  attribute('juiciness', 'mean', 2, [
    ['log_expressible', 'rise', [-0.1, 1.5], 0.4, 'kitchen measurement P6'],
    ['water', 'rise', [45, 110], 0.6, GENERAL],
  ]),
  attribute('tenderness', 'product', 2, [
    ['chew_network', 'fall', [8, 45], 1, GENERAL],
    ['log_gel_index', 'fall', [1, 2.6], 1, GENERAL],
    ['log_set_fat', 'fall', [1.2, 1.9], 1, GENERAL],
    ['dry_solids_no_fat', 'fall', [35, 90], 1, GENERAL],
  ]),
  attribute('fibrousness', 'product', 2, [['strand_share', 'rise', [8, 68], 1, GENERAL]]),
  attribute('graininess', 'mean', 2, [
    ['log_grit', 'rise', [-0.172, 1.418], 0.5, 'kitchen measurement P14'],
    ['coarse_share', 'rise', [10, 150], 0.5, GENERAL],
  ]),
  attribute('creaminess', 'product', 2, [
    ['fat', 'rise', [2, 42], 1, GENERAL],
    ['log_grit', 'fall', [0.2, 1.5], 1, GENERAL],
    ['coarse_share', 'fall', [10, 60], 1, GENERAL],
    ['chew_solids', 'fall', [3, 20], 1, GENERAL],
  ]),
  attribute('thickness', 'product', 2, [
    ['log_visc_serve', 'rise', [-2.65, 1.95], 1, 'kitchen measurement P9c'],
  ]),
  attribute('smoothness', 'product', 2, [
    ['log_grit', 'fall', [-0.142, 1.448], 1, 'kitchen measurement P14'],
    ['coarse_share', 'fall', [10, 60], 1, GENERAL],
  ]),
  attribute('mouth_coating', 'mean', 2, [
    ['log_fat', 'rise', [0.1, 2.2], 0.8, 'fat film; practice'],
    ['log_visc_serve', 'rise', [-2.6, 0.8], 0.2, GENERAL],
  ]),
  attribute('melt', 'product', 2, [['melting_fat', 'rise', [3, 18], 1, GENERAL]]),
  attribute('stretch', 'product', 2, [
    ['strand_starch', 'peak', [3.3, 7, 12], 1, GENERAL],
    ['strand_breakers', 'fall', [3, 11], 1, GENERAL],
  ]),
  attribute('crispness', 'product', 2, [
    ['surface_water', 'fall', [8, 30], 1, GENERAL],
    ['crust', 'rise', [0.05, 0.9], 1, GENERAL],
  ]),
  attribute('crumbliness', 'product', 2, [
    ['binder_hot', 'fall', [-0.2, 2], 1, GENERAL],
    ['coarse_share', 'rise', [10, 90], 1, GENERAL],
    ['water', 'fall', [75, 95], 1, GENERAL],
  ]),
]
