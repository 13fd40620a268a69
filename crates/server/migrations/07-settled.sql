-- Version 7: a finding is kept with every dimension said, so that it stays the same piece when what is usual changes.
-- Those kept before are given what was usual then, in their revisions as well.
CREATE TEMP TABLE usual (kind TEXT PRIMARY KEY, parameters TEXT NOT NULL);
INSERT INTO usual (kind, parameters) VALUES
    ('balled-head-pin', '{"ball_mm": 1.8, "stem_mm": 35.0}'),
    ('coil-cap', '{"cord_mm": 3.0, "fit_mm": 0.2, "turns_n": 6.0}'),
    ('cone-cap', '{"small_mm": 1.6, "large_mm": 6.0, "turns_n": 8.0}'),
    ('doubled-hook', '{"eye_mm": 3.0, "shank_mm": 12.0, "bend_mm": 5.0, "nose_mm": 6.0, "fold_mm": 0.4, "ring_mm": 1.3, "lift_deg": 0.0, "tip_mm": 2.5, "ends_mm": 0.0}'),
    ('eye-pin', '{"loop_mm": 2.4, "stem_mm": 35.0, "hammered_mm": 0.0}'),
    ('figure-eight', '{"loop_mm": 3.0, "second_mm": 3.0, "apart_mm": 0.0, "ends_mm": 0.0}'),
    ('folded-pair', '{"loop_mm": 2.2, "front_mm": 11.0, "crown_mm": 9.0, "back_mm": 19.0, "fold_mm": 0.8, "tip_deg": 0.0, "tip_mm": 4.0}'),
    ('hook-clasp', '{"eye_mm": 3.0, "shank_mm": 14.0, "bend_mm": 5.0, "nose_mm": 7.0, "tip_deg": 30.0, "tip_mm": 3.0, "ring_mm": 1.3, "hammered_mm": 0.0, "turn_deg": 180.0, "curl_mm": 0.0, "ends_mm": 0.0}'),
    ('open-ear-wire', '{"loop_mm": 2.2, "front_mm": 11.0, "crown_mm": 9.0, "back_mm": 19.0, "tip_deg": 18.0, "tip_mm": 4.0, "loop_side": 0.0, "hammered_mm": 0.0}'),
    ('oval-ring', '{"long_mm": 7.0, "short_mm": 4.5}'),
    ('paddle-head-pin', '{"paddle_mm": 4.0, "thickness_mm": 0.45, "stem_mm": 35.0}'),
    ('plain-head-pin', '{"fold_mm": 2.0, "stem_mm": 35.0}'),
    ('pointed-ear-wire', '{"loop_mm": 2.2, "side_mm": 24.0, "bulge_deg": 70.0, "point_mm": 1.6, "hammered_mm": 0.0}'),
    ('round-ring', '{"inside_mm": 5.0}'),
    ('s-clasp', '{"bend_mm": 6.0, "body_mm": 8.0, "turn_deg": 200.0, "nose_mm": 3.0, "curl_mm": 1.6, "ring_mm": 1.3, "hammered_mm": 0.0, "sides": 1.0, "ends_mm": 0.0}'),
    ('s-link', '{"bend_mm": 5.0, "turn_deg": 215.0, "curl_mm": 1.4, "hammered_mm": 0.0, "face": 0.0, "ends_mm": 0.0}'),
    ('shaped-ring', '{"sides": 0.0, "across_mm": 8.0, "corner_mm": 0.8}'),
    ('smallest-ring', '{"turns_n": 1.0}'),
    ('spiral-hook', '{"middle_mm": 1.6, "turns_n": 2.5, "shank_mm": 10.0, "bend_mm": 5.0, "catch_mm": 6.0, "lift_deg": 35.0, "tip_mm": 4.0, "ring_mm": 1.3, "space_mm": 0.0}'),
    ('trefoil-head-pin', '{"loop_mm": 2.2, "notch_mm": 0.8, "stem_mm": 35.0}'),
    ('wrapped-ear-wire', '{"loop_mm": 2.6, "wraps_n": 2.5, "counted": 0.0, "drop_mm": 12.0, "crown_mm": 9.0, "back_mm": 19.0, "tip_deg": 18.0, "tip_mm": 4.0, "hammered_mm": 0.0}'),
    ('wrapped-loop-link', '{"loop_mm": 2.6, "room_mm": 8.0, "wraps_n": 2.5, "counted": 0.0}');
UPDATE entries SET record = json_set(
    record,
    '$.request.parameters',
    (SELECT json_patch(parameters, coalesce(json_extract(record, '$.request.parameters'), '{}'))
     FROM usual WHERE kind = json_extract(record, '$.request.kind')))
WHERE shelf = 'pattern' AND json_extract(record, '$.request.kind') IN (SELECT kind FROM usual);
UPDATE changes SET before = json_set(
    before,
    '$.record',
    json_set(
        json_extract(before, '$.record'),
        '$.request.parameters',
        (SELECT json_patch(parameters, coalesce(json_extract(json_extract(before, '$.record'), '$.request.parameters'), '{}'))
         FROM usual WHERE kind = json_extract(json_extract(before, '$.record'), '$.request.kind'))))
WHERE before IS NOT NULL AND entry IN (SELECT id FROM entries WHERE shelf = 'pattern')
    AND json_extract(json_extract(before, '$.record'), '$.request.kind') IN (SELECT kind FROM usual);
DROP TABLE usual;
