-- Version 15: orders, batches, bags, checks and clasps of chains say every size of their findings, as saved findings have since
-- version 7, so that what becomes usual later changes none of them. Those that left out a size which is usual otherwise
-- now are given what was usual then, in their revisions as well.
UPDATE entries SET record = with_earlier_sizes(record) WHERE record LIKE '%ear-wire%' OR record LIKE '%folded-pair%';
UPDATE changes SET before = with_earlier_sizes(before) WHERE before LIKE '%ear-wire%' OR before LIKE '%folded-pair%';
