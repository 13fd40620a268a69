-- Version 10: chains and weaves are kept among the entries. A program that does not know them must not open the file.
SELECT 1;
