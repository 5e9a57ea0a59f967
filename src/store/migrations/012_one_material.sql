-- A wadding that is sprayed and a wadding that is loose are one material joined in two ways, and one bottle serves light and full: the
-- library's doubles become one entry each, and what was chosen, filed and kept in stock of them goes with it. A double that somebody
-- corrected stays as a layer of its own.
CREATE TEMP TABLE twin (old TEXT PRIMARY KEY, name TEXT, weight REAL, base TEXT, base_name TEXT, way TEXT);
INSERT INTO twin VALUES
  ('thin-cotton-wadding-spray-glued-90-g', 'Thin cotton wadding, spray-glued, 90 g', 90, 'thin-cotton-wadding-90-g', 'Thin cotton wadding, 90 g', 'spray-glued'),
  ('polyester-wadding-spray-glued-120-g', 'Polyester wadding, spray-glued, 120 g', 120, 'polyester-wadding-120-g', 'Polyester wadding, 120 g', 'spray-glued'),
  ('bag-foam-spray-glued-3-mm', 'Bag foam, spray-glued, 3 mm', 140, 'bag-foam-sew-in-3-mm', 'Bag foam sew-in, 3 mm', 'spray-glued'),
  ('medium-tear-away-spray-glued-42-g', 'Medium tear-away, spray-glued, 42 g', 42, 'medium-tear-away-42-g', 'Medium tear-away, 42 g', 'spray-glued'),
  ('medium-cut-away-spray-glued-62-g', 'Medium cut-away, spray-glued, 62 g', 62, 'medium-cut-away-62-g', 'Medium cut-away, 62 g', 'spray-glued'),
  ('firm-cut-away-spray-glued-80-g', 'Firm cut-away, spray-glued, 80 g', 80, 'firm-cut-away-80-g', 'Firm cut-away, 80 g', 'spray-glued'),
  ('mesh-cut-away-spray-glued-42-g', 'Mesh cut-away, spray-glued, 42 g', 42, 'mesh-cut-away-42-g', 'Mesh cut-away, 42 g', 'spray-glued'),
  ('light-starch-sprayed', 'Light starch, sprayed', 4, 'starch', 'Starch', 'liquid'),
  ('heavy-starch-soaked', 'Heavy starch, soaked', 12, 'starch', 'Starch', 'full'),
  ('liquid-stabilizer-misted', 'Liquid stabilizer, misted', 4, 'liquid-stabilizer', 'Liquid stabilizer', 'liquid'),
  ('liquid-stabilizer-wet-through', 'Liquid stabilizer, wet through', 16, 'liquid-stabilizer', 'Liquid stabilizer', 'full');

-- Only what is still as the library gave it, and only where no open cutting table of both stands in one project.
DELETE FROM twin WHERE NOT EXISTS (
  SELECT 1 FROM layer WHERE layer.id = twin.old AND layer.name = twin.name AND layer.areal_density = twin.weight
    AND layer.tests = '{}' AND layer.note = '' AND layer.deleted_at IS NULL
);
DELETE FROM twin WHERE EXISTS (
  SELECT 1 FROM cut_table a JOIN cut_table b ON a.project_id = b.project_id AND a.done IS NULL AND b.done IS NULL
    AND a.deleted_at IS NULL AND b.deleted_at IS NULL
  WHERE a.of_kind = 'layer' AND b.of_kind = 'layer' AND a.of_id = twin.old AND b.of_id = twin.base
);

-- The first double of a material without an entry of its own becomes that entry.
UPDATE OR IGNORE layer SET
    id = (SELECT base FROM twin WHERE old = layer.id),
    name = (SELECT base_name FROM twin WHERE old = layer.id),
    form = CASE WHEN form = 'spray-glued' THEN 'loose' ELSE form END,
    stiffening = CASE WHEN family = 'liquid-stabilizer' THEN 3 ELSE stiffening END,
    version = version + 1
  WHERE id IN ('polyester-wadding-spray-glued-120-g', 'light-starch-sprayed', 'liquid-stabilizer-misted')
    AND id IN (SELECT old FROM twin);
INSERT OR IGNORE INTO seeded (id)
  SELECT 'layer/' || id FROM layer WHERE id IN ('polyester-wadding-120-g', 'starch', 'liquid-stabilizer');
-- The other doubles go where their material is there to take their place.
DELETE FROM twin WHERE NOT EXISTS (SELECT 1 FROM layer WHERE layer.id = twin.base AND layer.deleted_at IS NULL);
UPDATE layer SET in_stock = 1
  WHERE id IN (SELECT base FROM twin JOIN layer AS old ON old.id = twin.old AND old.in_stock = 1);
DELETE FROM layer WHERE id IN (SELECT old FROM twin);

UPDATE stock SET of_id = (SELECT base FROM twin WHERE old = of_id)
  WHERE of_kind = 'layer' AND of_id IN (SELECT old FROM twin);
UPDATE cut_table SET of_id = (SELECT base FROM twin WHERE old = of_id)
  WHERE of_kind = 'layer' AND of_id IN (SELECT old FROM twin);

UPDATE job SET stack = json_set(stack, '$.layers', json((
    SELECT json_group_array(json(CASE
      WHEN twin.old IS NULL THEN layer.value
      WHEN twin.way = 'liquid' THEN json_set(layer.value, '$.materialId', twin.base)
      ELSE json_set(layer.value, '$.materialId', twin.base, '$.join', coalesce(json_extract(layer.value, '$.join'), twin.way))
    END))
    FROM json_each(stack, '$.layers') AS layer LEFT JOIN twin ON twin.old = json_extract(layer.value, '$.materialId')
  )))
  WHERE stack IS NOT NULL;
UPDATE job SET stack = json_set(stack, '$.setting.materialId', (SELECT base FROM twin WHERE old = json_extract(stack, '$.setting.materialId')))
  WHERE json_extract(stack, '$.setting.materialId') IN (SELECT old FROM twin);
UPDATE hooping SET stack = json_set(stack, '$.layers', json((
    SELECT json_group_array(json(CASE
      WHEN twin.old IS NULL THEN layer.value
      WHEN twin.way = 'liquid' THEN json_set(layer.value, '$.materialId', twin.base)
      ELSE json_set(layer.value, '$.materialId', twin.base, '$.join', twin.way)
    END))
    FROM json_each(stack, '$.layers') AS layer LEFT JOIN twin ON twin.old = json_extract(layer.value, '$.materialId')
  )))
  WHERE stack IS NOT NULL;

-- What was filed is filed under the material and the way it was used.
UPDATE log_entry SET layer_ids = (
    SELECT json_group_array(CASE WHEN twin.old IS NULL THEN each.value WHEN twin.way = 'liquid' THEN twin.base ELSE twin.base || '__' || twin.way END)
    FROM json_each(layer_ids) AS each LEFT JOIN twin ON twin.old = each.value
  )
  WHERE EXISTS (SELECT 1 FROM json_each(layer_ids) AS each JOIN twin ON twin.old = each.value);
UPDATE scrap SET layer_ids = (
    SELECT json_group_array(CASE WHEN twin.old IS NULL THEN each.value WHEN twin.way = 'liquid' THEN twin.base ELSE twin.base || '__' || twin.way END)
    FROM json_each(layer_ids) AS each LEFT JOIN twin ON twin.old = each.value
  )
  WHERE EXISTS (SELECT 1 FROM json_each(layer_ids) AS each JOIN twin ON twin.old = each.value);
UPDATE scrap SET plan = json_set(plan, '$.materialId', (SELECT base FROM twin WHERE old = json_extract(plan, '$.materialId')))
  WHERE json_extract(plan, '$.materialId') IN (SELECT old FROM twin);
DROP TABLE twin;
