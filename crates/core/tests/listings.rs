//! Shop listings in several habits and languages, all invented, with what each says and what must not be guessed.
#![allow(clippy::unwrap_used, missing_docs)]

use lorimant_core::rack::listing::{Listing, decode};
use lorimant_core::wire::metal::{Metal, Temper};
use lorimant_core::wire::section::Section;
use lorimant_core::words::length::Habits;
use proptest::prelude::*;

/// Line; metal, section, temper; size mm; length mm or −grams; price. A dash, a 0 or nothing is what the line does not say.
const LINES: &str = r#"
.925 HH sq 20ga 5ft 14.80 | sterling-silver square half-hard | 0.8118 | 1524 | 14.80
kupferdraht 1,0 mm weich 250 g | copper - soft | 1 | -250 |
Sterling silver round wire 20 gauge half hard 10 ft $18.50 | sterling-silver round half-hard | 0.8118 | 3048 | 18.50
copper round dead soft 18 awg 25 ft $9.95 | copper round soft | 1.0237 | 7620 | 9.95
14/20 gold filled 22ga HH rnd 5 feet $24.10 | gold-filled round half-hard | 0.6438 | 1524 | 24.10
fine silver .999 DS round 24 AWG 1 ozt 39.00 | fine-silver round soft | 0.5106 | -31.1034768 | 39.00
brass wire sq 18ga 1/2 hard 10ft | brass square half-hard | 1.0237 | 3048 |
Messingdraht rund 0,8 mm halbhart 10 m 6,90 € | brass round half-hard | 0.8 | 10000 | 6.90
Silber 925 Draht rund 1,2mm weich 50cm EUR 12,40 | sterling-silver round soft | 1.2 | 500 | 12.40
Feinsilber 0,5 mm rund weich 3 m 14,20 € | fine-silver round soft | 0.5 | 3000 | 14.20
fil laiton rond 0,6 mm recuit 5 m 3,50 € | brass round soft | 0.6 | 5000 | 3.50
fil de cuivre carré 1 mm demi-dur 2 m | copper square half-hard | 1 | 2000 |
argent 925 rond 0,8 mm demi dur 1 m 9,80 € | sterling-silver round half-hard | 0.8 | 1000 | 9.80
plata 925 hilo redondo 1,0 mm recocido 2 m 15,60 € | sterling-silver round soft | 1 | 2000 | 15.60
alambre de cobre redondo 0,5 mm blando 100 g | copper round soft | 0.5 | -100 |
latón cuadrado 1,5 mm duro 1 m 4,10 € | brass square hard | 1.5 | 1000 | 4.10
Niobium round .032" 5 ft $12.00 | niobium round - | 0.8128 | 1524 | 12.00
titanium grade 1 round 0.8mm 3 m 11.50 GBP | titanium round - | 0.8 | 3000 | 11.50
alu 2 mm round 5 m 3,99 € | aluminium round - | 2 | 5000 | 3.99
aluminum wire 12ga soft 40 ft $6.25 | aluminium - soft | 2.0525 | 12192 | 6.25
stainless steel 316L 0.8 mm round spring 10 m | stainless-steel round spring | 0.8 | 10000 |
Edelstahl rund 1,0 mm weich 25 m 8,40 € | stainless-steel round soft | 1 | 25000 | 8.40
nickel silver half round 2 mm soft 3 ft | nickel-silver half-round soft | 2 | 914.4 |
Neusilber halbrund 2,0 mm hart 1 m | nickel-silver half-round hard | 2 | 1000 |
red brass round 16ga dead-soft 20ft $7.75 | red-brass round soft | 1.2908 | 6096 | 7.75
Tombak 1,0 mm rund weich 10 m | red-brass round soft | 1 | 10000 |
phosphor bronze 20awg spring temper round 15ft | phosphor-bronze round spring | 0.8118 | 4572 |
germanium silver 18 awg dead soft round 2 ft $22.00 | germanium-silver round soft | 1.0237 | 609.6 | 22.00
14k gold round 22 awg half hard 6 in $88.00 | gold-14k round half-hard | 0.6438 | 152.4 | 88.00
sterling half round 1/2 hard 2.5 mm 3 ft | sterling-silver half-round half-hard | 2.5 | 914.4 |
silver-filled 20ga round DS 10' $11.20 | silver-filled round soft | 0.8118 | 3048 | 11.20
copper 16 swg round soft 500g £9.99 | copper round soft | 1.6256 | -500 | 9.99
brass 1 mm 1kg | brass - - | 1 | -1000 |
ster rd 24ga ds 1 lb | sterling-silver round soft | 0.5106 | -453.59237 |
copper, 20 ga, round, soft, 1/2 lb, $8.40 | copper round soft | 0.8118 | -226.796185 | 8.40
18 AWG HH copper 30ft rnd | copper round half-hard | 1.0237 | 9144 |
sterling, 21 awg, half-hard, 2 dwt | sterling-silver - half-hard | 0.7229 | -3.11034768 |
gold-filled square 21 awg half hard 1 ft $9.60 | gold-filled square half-hard | 0.7229 | 304.8 | 9.60
cuivre ø 0,8 recuit 10 m | copper - soft | 0.8 | 10000 |
Kupfer Ø0,4 mm 50 m CHF 6.50 | copper - - | 0.4 | 50000 | 6.50
acier inoxydable rond 0,6 mm 5 m | stainless-steel round - | 0.6 | 5000 |
acero inoxidable redondo 0,8 mm 3 m 5,50 € | stainless-steel round - | 0.8 | 3000 | 5.50
bindedraht 0,7 mm 100 g | mild-steel - - | 0.7 | -100 |
annealed steel 16 gauge 50 ft | mild-steel - soft | 1.2908 | 15240 |
copper half-hard 3/64" round 4 ft | copper round half-hard | 1.190625 | 1219.2 |
brass .040 in round half hard 12 ft | brass round half-hard | 1.016 | 3657.6 |
STERLING SILVER - 22 GA - ROUND - DEAD SOFT - 5 FT | sterling-silver round soft | 0.6438 | 1524 |
925 sterling rnd HH 20ga (0.81mm) 3ft | sterling-silver round half-hard | 0.81 | 914.4 |
fine silver 28ga 30 ft $19.00 | fine-silver - - | 0.3211 | 9144 | 19.00
copper wire, bare, 14ga, 1 lb coil, $14.95 | copper - - | 1.6277 | -453.59237 | 14.95
round copper 22 awg 2.50/ft | copper round - | 0.6438 | 0 | 2.50
sterling silver 20 awg round $3.10 per ft | sterling-silver round - | 0.8118 | 0 | 3.10
messing rund 1 mm 0,90 € pro m | brass round - | 1 | 0 | 0.90
argent 925 rond 1 mm 1,20 € le g | sterling-silver round - | 1 | 0 | 1.20
silver plated copper 20ga round 25 ft | copper round - | 0.8118 | 7620 |
enamelled copper 0.5 mm 100 g | copper - - | 0.5 | -100 |
titan 1,0 mm federhart 1 m | titanium - spring | 1 | 1000 |
niob 0,8 mm rund 2 m 7,00 € | niobium round - | 0.8 | 2000 | 7.00
laiton demi-rond 3 mm 2 m | brass half-round - | 3 | 2000 |
cobre media caña 3 mm 1 m | copper half-round - | 3 | 1000 |
silber 999 rund 0,8 mm 100 cm | fine-silver round - | 0.8 | 1000 |
sterling quarter hard 20 awg 6 ft | sterling-silver - quarter-hard | 0.8118 | 1828.8 |
brass 3/4 hard round 1 mm 5 m | brass round three-quarter-hard | 1 | 5000 |
copper full hard 1.2 mm 10 m | copper - hard | 1.2 | 10000 |
phosphor bronze extra hard 0.5 mm 2 m | phosphor-bronze - extra-hard | 0.5 | 2000 |
gf hh 20ga 1.5 ft | gold-filled - half-hard | 0.8118 | 457.2 |
sterling sq 1 mm 10 inches $9.00 | sterling-silver square - | 1 | 254 | 9.00
copper 18 swg 5 yards | copper - - | 1.2192 | 4572 |
fil cuivre 1,5 mm 250 grammes 7,20 euros | copper - - | 1.5 | -250 | 7.20
hilo de latón 0,8 mm 10 metros 4,00 € | brass - - | 0.8 | 10000 | 4.00
sterling round 1.0mm 1.000 m 12.00 EUR | sterling-silver round - | 1 | 1000 | 12.00
copper 20 gauge (AWG) round soft 1 oz | copper round soft | 0.8118 | -28.349523125 |
sterling 20awg round hh 1 oz $41.00 | sterling-silver round half-hard | 0.8118 | -31.1034768 | 41.00
silver round 20 awg 5 ft | - round - | 0.8118 | 1524 |
ss 20 awg half hard 5 ft | - - half-hard | 0.8118 | 1524 |
bronze 1 mm round 2 m | - round - | 1 | 2000 |
935 round 1 mm soft 2 m | - round soft | 1 | 2000 |
steel 1 mm 10 m | - - - | 1 | 10000 |
copper 20g round soft | copper round soft | 0 | 0 |
gold 0.8 mm round 1 m | - round - | 0.8 | 1000 |
round wire soft | - round soft | 0 | 0 |
copper | copper - - | 0 | 0 |
"#;

fn ways(listing: &Listing) -> String {
    let word = |found: Option<&'static str>| found.unwrap_or("-").to_owned();
    let metal = word(listing.metal.map(Metal::word));
    let section = word(listing.section.map(Section::word));
    let temper = word(listing.temper.map(Temper::word));
    format!("{metal} {section} {temper}")
}

#[test]
fn listings_are_read_in_any_order_and_language() {
    let mut wrong = vec![];
    let lines: Vec<&str> = LINES.lines().filter(|line| !line.trim().is_empty()).collect();
    assert!(lines.len() >= 80, "{}", lines.len());
    for line in lines {
        let parts: Vec<&str> = line.split('|').map(str::trim).collect();
        let [text, words, size, quantity] = parts[..4] else { panic!("{line}") };
        let said = decode(text, Habits::default());
        let price = parts.get(4).copied().unwrap_or_default();
        let close = |found: Option<f64>, expected: f64| match found {
            Some(found) => (found - expected).abs() < 1e-4 * expected.max(1.0),
            None => expected == 0.0,
        };
        let quantity: f64 = quantity.parse().unwrap();
        let measured =
            if quantity < 0.0 { close(said.mass_g, -quantity) } else { close(said.length_mm, quantity) };
        let paid = said.price.map_or(String::new(), |price| price.to_string());
        let right = ways(&said) == words
            && close(said.size_mm, size.parse().unwrap())
            && measured
            && (paid == price || paid.parse::<f64>() == price.parse::<f64>());
        if !right {
            wrong.push(format!(
                "{text}: {} {:?} {:?} {:?} {paid}",
                ways(&said),
                said.size_mm,
                said.length_mm,
                said.mass_g
            ));
        }
    }
    assert!(wrong.is_empty(), "{} wrong:\n{}", wrong.len(), wrong.join("\n"));
}

#[test]
fn what_must_not_be_guessed_is_said() {
    let said = |text: &str| decode(text, Habits::default());
    let doubt = |text: &str, words: &str| {
        let found = said(text).doubtful;
        assert!(found.iter().any(|line| line.contains(words)), "{text}: {found:?}");
    };
    doubt("ss 20 awg half hard", "stainless steel to others");
    doubt("silver round 20 awg", "which fineness");
    doubt("copper 20 ga round", "Gauge 20 of which system? It is 0.812 mm in AWG");
    doubt("annealed steel 16 gauge", "steel");
    doubt("copper 20g round soft", "gauge or grams");
    doubt("sterling 1 oz 20 awg", "troy");
    doubt("silver plated copper 1 mm", "skin of about 1 %");
    doubt("enamelled copper 1 mm", "must not be heated");
    doubt("copper 1 mm 5 m 9.80", "currency is not said");
    let missing = said("copper").missing;
    for words in ["nearly always soft", "nearly always round", "size", "How much", "price"] {
        assert!(missing.iter().any(|line| line.contains(words)), "{words}: {missing:?}");
    }
    assert_eq!(said("copper 1 mm sparkly soft").unclear, ["sparkly"]);
    // A gauge whose system is said is no doubt.
    assert!(said("copper 20 awg round soft 5 ft $3").doubtful.is_empty());
}

/// Price of a metre and of a gram by hand, weight to length and back for every section.
#[test]
fn prices_and_weights_follow() {
    let said = decode("copper round soft 1 mm 10 m $8.00", Habits::default());
    assert_eq!(said.per_metre.unwrap().normalize().to_string(), "0.8");
    let grams = 10_000.0 * std::f64::consts::PI / 4.0 * 8.94 / 1000.0;
    assert!((said.mass_g.unwrap() - grams).abs() < 1e-6);
    assert!((said.per_gram.unwrap().to_string().parse::<f64>().unwrap() - 8.0 / grams).abs() < 1e-4);
    // 61.5 mm of it.
    assert_eq!(said.price_of(61.5).unwrap().normalize().to_string(), "0.0492");
    for (section, area) in
        [("round", std::f64::consts::PI), ("square", 4.0), ("half round", std::f64::consts::PI / 2.0)]
    {
        let by_weight = decode(&format!("copper {section} 2 mm 500 g"), Habits::default());
        let expected = 500.0 / (area * 8.94 / 1000.0);
        assert!((by_weight.length_mm.unwrap() - expected).abs() < 1e-6 * expected, "{section}");
    }
    let by_foot = decode("sterling round 20 awg $3.048 per ft", Habits::default());
    assert_eq!(by_foot.per_metre.unwrap().normalize().to_string(), "10");
}

proptest! {
    /// Whatever is pasted, nothing panics and the metals of the table stay themselves.
    #[test]
    fn nothing_panics(text in any::<String>(), more in "[a-z0-9 .,/'\"$€½-]{0,60}") {
        let _ = decode(&text, Habits::default());
        let _ = decode(&more, Habits::default());
    }
}
