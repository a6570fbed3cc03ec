<?php
// Reads vCards with Debian's php-sabre-vobject, or writes the given values with it; JSON on stdin and stdout.
require_once 'Sabre/VObject/autoload.php';

use Sabre\VObject;

const NAMES = ['family', 'given', 'additional', 'prefix', 'suffix'];
const PLACES = ['box', 'extended', 'street', 'city', 'region', 'code', 'country'];

function parts($property, array $keys): array {
    return array_combine($keys, array_map(
        fn ($part) => is_array($part) ? implode(' ', $part) : (string) $part,
        array_slice(array_pad($property->getParts(), count($keys), ''), 0, count($keys))
    ));
}

function several($card, string $name): array {
    // Version 2 leaves commas and semicolons of texts in their escapes, as its Compound says; whoever calls undoes them.
    return array_map(
        fn ($line) => strtr((string) $line->getValue(), ['\\,' => ',', '\\;' => ';']),
        array_values($card->select($name))
    );
}

function compound(string $name, array $values, array $keys) {
    $property = VObject\Property::create($name);
    $property->setParts(array_map(fn ($key) => $values[$key], $keys));
    return $property;
}

function read(string $text): array {
    $cards = [];
    $splitter = new VObject\Splitter\VCard(fopen('data://text/plain;base64,' . base64_encode($text), 'r'));
    while ($card = $splitter->getNext()) {
        $cards[] = [
            'fn' => (string) $card->FN,
            'n' => isset($card->N) ? parts($card->N, NAMES) : null,
            'tel' => several($card, 'TEL'),
            'email' => several($card, 'EMAIL'),
            'note' => several($card, 'NOTE'),
            'org' => array_map(fn ($line) => $line->getParts(), array_values($card->select('ORG'))),
            'adr' => array_map(fn ($line) => parts($line, PLACES), array_values($card->select('ADR'))),
            'bday' => isset($card->BDAY) ? (string) $card->BDAY : null,
        ];
    }
    return $cards;
}

function write(array $values, string $version): string {
    $text = '';
    foreach ($values as $value) {
        // Its constructor doesn't work with this PHP; its reader makes the same object.
        $card = VObject\Reader::read("BEGIN:VCARD\r\nVERSION:$version\r\nFN:x\r\nEND:VCARD\r\n");
        $card->FN = $value['fn'];
        $card->add(compound('N', $value['n'], NAMES));
        foreach ($value['tel'] as $number) $card->add('TEL', $number, ['type' => 'cell,work']);
        foreach ($value['email'] as $address) $card->add('EMAIL', $address);
        foreach ($value['note'] as $note) $card->add('NOTE', $note);
        foreach ($value['org'] as $org) $card->add(compound('ORG', $org, array_keys($org)));
        foreach ($value['adr'] as $address) {
            $card->add(compound('ADR', $address, PLACES));
        }
        $text .= $card->serialize();
    }
    return $text;
}

$request = json_decode(stream_get_contents(STDIN), true);
$answer = $request['mode'] === 'read' ? read($request['text']) : write($request['values'], $request['version']);
echo json_encode($answer);
