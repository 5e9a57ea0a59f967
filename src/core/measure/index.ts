export { applyTest, measuredOf, overwritten } from './apply-test';
export { applyLayerTest, LAYER_TEST_IDS, LAYER_TESTS, overwrittenLayerTests } from './layer-tests';
export type { LayerPatch, LayerTest, LayerTestId } from './layer-tests';
export { TEST_IDS } from './cloth-test';
export type { ClothTest, FieldKind, Figure, HomeTest, Readings, TestField, TestId, TestResult } from './cloth-test';
export { clothDistance, figureOf, similarCloths, usualRange } from './similar';
export type { Compared, NamedFabric, SimilarCloth, UsualRange } from './similar';
export { CLOTH_TESTS, clothTest } from './tests';
export { overhangReading } from './tests/overhang';
