export { applyTest, measuredOf, overwritten } from './apply-test';
export { TEST_IDS } from './cloth-test';
export type { ClothTest, FieldKind, Figure, Readings, TestField, TestId, TestResult } from './cloth-test';
export { clothDistance, figureOf, similarCloths, usualRange } from './similar';
export type { Compared, NamedFabric, SimilarCloth, UsualRange } from './similar';
export { CLOTH_TESTS, clothTest } from './tests';
