-- What was offered for sale was built to be sold.
UPDATE `builds` SET `house_rules` = json_set(`house_rules`, '$.intent', 'sell')
WHERE json_extract(`house_rules`, '$.intent') IS NULL AND (`selling` IS NOT NULL OR `sale_text` <> '');
