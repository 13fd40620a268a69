import { t } from '../../text'

/** What a finding can be printed or exported as. */
export const files = [
  {
    file: 'card-a5.pdf',
    says: t('room-view-pattern-card-a5-pdf'),
    hint: t('room-view-true-size-with-check-bars'),
  },
  { file: 'card-a4.pdf', says: t('room-view-pattern-card-a4-pdf'), hint: t('room-view-same-larger') },
  { file: 'card.svg', says: t('room-view-pattern-card-svg'), hint: t('room-view-millimetres-draw-on') },
  { file: 'drawing.dxf', says: t('room-view-drawing-dxf'), hint: t('room-view-centreline-outline-mm') },
  { file: 'bends.csv', says: t('room-view-bend-table-csv'), hint: t('room-view-one-line-per-mark') },
  { file: 'label.pdf', says: t('room-view-label-for-bag-pdf'), hint: '80 × 45 mm' },
  { file: 'pattern.json', says: t('room-view-pattern-json'), hint: t('room-view-can-be-imported-again') },
]
