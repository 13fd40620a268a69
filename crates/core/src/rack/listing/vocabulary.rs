//! What shops write besides metals, sections and tempers: surfaces, fillers, currencies, packs.

use lorimant_text::Text;

/// Words for surfaces, with what to keep in mind.
pub(super) const SURFACES: &[(&str, Text, &[&str])] = &[
    (
        "plated",
        Text::named("listing-vocabulary-plated"),
        &["plated", "versilbert", "vergoldet", "plaqué", "plaque", "bañado"],
    ),
    (
        "coated",
        Text::named("listing-vocabulary-coated"),
        &[
            "coated",
            "enamelled",
            "enameled",
            "lackiert",
            "verni",
            "esmaltado",
            "non tarnish",
            "non-tarnish",
            "anti-tarnish",
            "tarnish resistant",
            "tarnish-resistant",
        ],
    ),
    (
        "galvanised",
        Text::named("listing-vocabulary-galvanised"),
        &["galvanised", "galvanized", "verzinkt", "galvanisé", "galvanise", "galvanizado"],
    ),
];

/// Words that say nothing a plan needs.
pub(super) const FILLERS: &[&str] = &[
    "wire",
    "draht",
    "fil",
    "alambre",
    "hilo",
    "de",
    "d",
    "en",
    "of",
    "the",
    "a",
    "x",
    "coil",
    "spool",
    "roll",
    "rolle",
    "spule",
    "bobine",
    "rollo",
    "carrete",
    "pack",
    "pkg",
    "jewelry",
    "jewellery",
    "schmuck",
    "bijoux",
    "craft",
    "for",
    "pour",
    "für",
    "und",
    "and",
    "et",
    "y",
    "gauge",
    "ga",
    "calibre",
    "dia",
    "diameter",
    "durchmesser",
    "thick",
    "stark",
    "le",
    "la",
    "el",
    "per",
    "pro",
    "par",
    "por",
    "approx",
    "ca",
    "only",
    "prix",
    "preis",
    "precio",
    "price",
    "each",
    "ea",
    "temper",
    "length",
    "länge",
    "bare",
    "blank",
    "approx.",
    "ca.",
    "nur",
    "@",
    "-",
    "–",
    "silver-coloured",
];

/// Signs and words of currencies.
pub(super) const SIGNS: &[(&str, &[&str])] = &[
    ("EUR", &["€", "eur", "euro", "euros"]),
    ("USD", &["us$", "$", "usd"]),
    ("GBP", &["£", "gbp"]),
    ("CHF", &["chf", "sfr", "fr."]),
];

/// Words that count what is sold, before or after the number: `pack of 3`, `3 coils`.
pub(super) const PACKS: &[&str] = &[
    "pieces", "piece", "pcs", "pc", "coils", "spools", "rolls", "lengths", "packs", "rods", "sticks",
    "stück", "stk", "rollen", "bobines", "rollos", "piezas",
];
pub(super) const PACK_OF: &[&str] =
    &["pack of", "lot of", "set of", "bundle of", "qty", "quantity", "pkg of"];

/// Words behind a price that say it is the price of one.
pub(super) const EACH: &[&str] =
    &["each", "ea", "apiece", "a piece", "per piece", "pro stück", "je", "chacun", "cada uno"];
