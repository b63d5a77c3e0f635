<?php

declare(strict_types=1);

use App\Backup\BackupShelf;
use App\Backup\Reason;
use App\Exchange\Csv\Csv;
use App\Models\Batch;
use App\Models\DiaryEntry;
use App\Models\Dog;
use App\Models\Kitchen;
use App\Models\LedgerEntry;
use App\Models\OwnFood;
use App\Models\Weighing;
use App\Support\CurrentKitchen;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use MildBowl\Core\Questions\RequestRefused;

beforeEach(fn () => $this->open('lock-cottage'));

/** @return list<array<string, string>> */
function tableOf(object $test, string $table): array
{
    return array_map(static fn (array $row): array => $row[1], Csv::read($test->get("/api/csv/$table")->assertOk()->streamedContent()));
}

it('writes RFC 4180 that it reads again letter by letter, whatever stands in a cell, and nothing that a spreadsheet would run', function (): void {
    mt_srand(4180);
    $signs = ['a', 'é', '🐕', '"', ',', ';', "\n", "\r\n", "\t", ' ', "'", '=', '+', '-', '@', '1', '.', '½', '|'];
    for ($n = 0; $n < 400; $n++) {
        $rows = [];
        for ($row = 0; $row < 3; $row++) {
            $rows[] = array_map(static fn (): string => implode('', array_map(static fn (): string => $signs[mt_rand(0, count($signs) - 1)], range(1, mt_rand(1, 6)))), range(1, 3));
        }
        $text = implode('', iterator_to_array(Csv::write([['one', 'two', 'three'], ...$rows]), false));
        expect(array_map(static fn (array $one): array => array_values($one[1]), Csv::read($text)))->toBe($rows)
            ->and(str_ends_with($text, "\r\n"))->toBeTrue();
        $file = fopen('php://memory', 'r+');
        fwrite($file, $text);
        rewind($file);
        while (($cells = fgetcsv($file, null, ',', '"', '')) !== false) {
            foreach ($cells as $cell) {
                expect(is_numeric($cell) || preg_match('/^[=+\-@\t\r]/', (string) $cell) === 0)->toBeTrue((string) $cell);
            }
        }
    }
    expect(implode('', iterator_to_array(Csv::write([['-3.5', '=1+1', '@x', '+49 30', "'=x"]]), false)))->toBe("-3.5,'=1+1,'@x,'+49 30,''=x\r\n");
});

it('reads what spreadsheets of other countries write', function (string $content): void {
    expect(Csv::read($content))->toBe([[2, ['dog' => 'Zoë', 'kg' => '9,5']], [4, ['dog' => 'Tup"pence', 'kg' => '9']]]);
})->with([
    'with semicolons, a byte order mark and line feeds' => ["\u{FEFF}Dog;KG\nZoë;9,5\n\n\"Tup\"\"pence\";9\n"],
    'with tabs' => ["dog\tkg\r\nZoë\t9,5\r\n\r\n\"Tup\"\"pence\"\t9\r\n"],
    'in the code of western Europe' => [mb_convert_encoding("dog;kg\r\nZoë;9,5\r\n\r\n\"Tup\"\"pence\";9", 'Windows-1252', 'UTF-8')],
]);

it('loses nothing of a table: out, into an empty kitchen, and out again is the same file', function (): void {
    // a sign of each kind, something taken back, a bought treat, words that a spreadsheet would run
    $dog = Dog::query()->where('name', 'Quill')->firstOrFail();
    $this->postJson('/api/foods', ['name' => 'My crumb', 'names' => ['our crumb'], 'groups' => ['wheat'], 'per100g' => ['kcal' => 400, 'proteinG' => 10, 'sodiumMg' => 0], 'gramsPerCup' => 120.5, 'ingredients' => "wheat,\nsalt"])->assertCreated();
    $this->postJson('/api/given', ['id' => '018f2f6e-0000-7000-8000-0000000000a1', 'at' => '2026-06-20T09:00:00.000Z', 'by' => 'Ines', 'text' => '3 g carrot, "raw"', 'dogs' => [['dog' => $dog->id]]])->assertCreated();
    $this->postJson('/api/given', ['id' => '018f2f6e-0000-7000-8000-0000000000a2', 'at' => '2026-06-20T09:05:00.000Z', 'by' => '=SUM(A1)', 'label' => ['name' => 'bought chew', 'kcal' => 35], 'dogs' => [['dog' => $dog->id, 'pieces' => 1]]])->assertCreated();
    $this->postJson('/api/given/018f2f6e-0000-7000-8000-0000000000a1/back', ['id' => '018f2f6e-0000-7000-8000-0000000000a3', 'at' => '2026-06-20T09:10:00.000Z', 'by' => 'Tom'])->assertSuccessful();
    $this->postJson('/api/diary', ['id' => '018f2f6e-0000-7000-8000-0000000000a4', 'at' => '2026-06-20T07:00:00.000Z', 'by' => 'Ines', 'dog' => $dog->id, 'on' => '2026-06-19', 'kind' => 'note', 'said' => ['text' => "-two\nlines"]])->assertSuccessful();
    $this->postJson('/api/diary', ['id' => '018f2f6e-0000-7000-8000-0000000000a5', 'at' => '2026-06-20T07:00:00.000Z', 'by' => 'Ines', 'dog' => $dog->id, 'on' => '2026-06-19', 'kind' => 'taken', 'said' => ['how' => 'left', 'foods' => ['pear', 'millet'], 'words' => 'a slice']])->assertSuccessful();
    $out = [];
    foreach (['foods', 'weights', 'batches', 'diary', 'ledger'] as $table) {
        $out[$table] = $this->get("/api/csv/$table")->assertOk()->assertHeader('Content-Type', 'text/csv; charset=utf-8; header=present')->streamedContent();
    }
    // an empty kitchen with the same dogs and recipes, nothing else
    $whole = app(BackupShelf::class);
    $kitchen = $this->open('lock-cottage');
    $id = $whole->make($kitchen, Reason::ByHand);
    $other = Kitchen::factory()->create(['slug' => 'elsewhere']);
    app(CurrentKitchen::class)->open($other);
    $whole->restore($other, $whole->path($kitchen, $id));
    File::delete($whole->path($kitchen, $id));
    foreach (['ledger_undone', 'ledger_entries', 'dog_days', 'diary_undone', 'diary_entries', 'bag_events', 'bags', 'batch_entries', 'batches', 'weighings', 'own_foods', 'loans'] as $empty) {
        DB::table($empty)->where('kitchen_id', $other->id)->delete();
    }
    config(['mildbowl.kitchen' => 'elsewhere']);
    foreach ($out as $table => $csv) {
        $looked = $this->postJson("/api/csv/$table/look", ['content' => $csv])->assertOk()->json();
        expect(schemaErrors($looked, 'kitchen.json#/$defs/csvTaken'))->toBe('')->and($looked['problems'])->toBe([], $table)->and($looked['new'])->toBe($looked['rows'])->and($looked['unknownColumns'])->toBe([]);
        expect(tableOf($this, $table))->toBe([]);
        $this->postJson("/api/csv/$table", ['content' => $csv])->assertOk()->assertJsonPath('taken', true)->assertJsonPath('new', $looked['rows']);
        $again = $this->get("/api/csv/$table")->streamedContent();
        $plain = static fn (string $text): array => array_map(static function (array $row): array {
            // the state of the one that is still in the oven is the log's to tell
            return array_diff_key($row[1], ['state' => 1]);
        }, Csv::read($text));
        expect($plain($again))->toEqual($plain($csv), $table);
        // and taken once more, nothing is new
        expect($this->postJson("/api/csv/$table", ['content' => $csv])->json())->toMatchArray(['new' => 0, 'changed' => 0, 'taken' => true]);
    }
    // the days are reckoned as they were
    $days = static fn (int $of): array => DB::table('dog_days')->where('kitchen_id', $of)->where('kcal', '>', 0)->orderBy('on')->pluck('kcal', 'on')->map(static fn (mixed $kcal): float => round((float) $kcal, 1))->all();
    expect(count($days($other->id)))->toBeGreaterThan(5);
});

it('says of each row and column what is wrong, and takes nothing of such a file', function (string $table, string $content, array $problems): void {
    $before = [Weighing::query()->count(), LedgerEntry::query()->count(), DiaryEntry::query()->count(), OwnFood::query()->count(), Batch::query()->count()];
    $looked = $this->postJson("/api/csv/$table/look", ['content' => $content])->assertOk()->json();
    expect(array_map(static fn (array $one): array => [$one['row'], $one['column']], $looked['problems']))->toBe($problems);
    $this->postJson("/api/csv/$table", ['content' => $content])->assertOk()->assertJsonPath('taken', false);
    expect([Weighing::query()->count(), LedgerEntry::query()->count(), DiaryEntry::query()->count(), OwnFood::query()->count(), Batch::query()->count()])->toBe($before);
})->with([
    ['weights', "dog,on,kg,body condition\nQuill,2026-06-01,12.5,5\nNobody,2026-06-01,9,\nQuill,01.06.2026,12,\nQuill,2026-06-02,heavy,\nQuill,2026-06-02,400,\nQuill,2027-01-01,12,\nQuill,2026-06-03,12,4.5", [[3, 'dog'], [4, 'on'], [5, 'kg'], [6, 'kg'], [7, 'on'], [8, 'body condition']]],
    ['ledger', "dog,on,words,kind,batch,pieces\nQuill,2026-06-01,5 g carrot,,,\nQuill,2026-06-01,,,,\nQuill,2026-06-01,x,pieces,,2\nQuill,2026-06-01,x,pieces,018f2f6e-0000-7000-8000-00000000dead,2\nQuill,2026-06-01,x,gulped,,", [[3, 'words'], [4, 'batch'], [5, 'batch'], [6, 'kind']]],
    ['diary', "dog,on,kind,sign,step,score,note\nQuill,2026-06-01,sign,gut,9,,\nQuill,2026-06-01,sign,skin,,11,\nQuill,2026-06-01,sign,wings,,3,\nQuill,2026-06-01,note,,,,\nQuill,2026-06-01,well,,,,", [[2, 'step'], [3, 'score'], [4, 'sign'], [5, 'note']]],
    ['foods', "name,groups,proteinG in 100 g,fatG in 100 g\nMy crumb,wheat,10,\nOther crumb,no-such,10,\nThird crumb,,80,80\n,wheat,1,1", [[3, 'groups'], [4, 'name'], [5, 'name']]],
    ['batches', "recipe,begun,pieces\nBeetroot and barley rounds,2026-06-01,60\nNo such cake,2026-06-01,60\nBeetroot and barley rounds,soon,60\nBeetroot and barley rounds,2027-06-01,60", [[3, 'recipe'], [4, 'begun'], [5, 'begun']]],
]);

it('takes a plain list as somebody keeps one: names, days, and what there was', function (): void {
    $this->postJson('/api/csv/weights', ['content' => "Dog;On;Kg\nquill;2026-06-19;12,7\nTuppence;2026-06-19;9,1\n"])->assertOk()->assertJsonPath('taken', true);
    expect(Dog::query()->where('name', 'Quill')->firstOrFail()->weight_kg)->toEqual(12.7);
    $this->postJson('/api/csv/ledger', ['content' => "dog,on,words\nQuill,2026-06-18,20 g cooked chicken\n"])->assertJsonPath('new', 1);
    $day = collect($this->getJson('/api/day?on=2026-06-18')->json('dogs'))->firstWhere('dog', 'Quill') ?? collect($this->getJson('/api/day?on=2026-06-18')->json('dogs'))->firstWhere('dogId', Dog::query()->where('name', 'Quill')->firstOrFail()->id);
    expect(json_encode($day))->toContain('chicken');
    $this->postJson('/api/csv/batches', ['content' => "recipe,begun,pieces,g baked,next time,min in the heat\nBeetroot and barley rounds,2026-05-01,61,402,a minute longer,21\n"])->assertJsonPath('new', 1);
    $batch = Batch::query()->whereDate('begun_at', '2026-05-01')->firstOrFail();
    expect($batch->summary['count'])->toEqual(61)->and($batch->summary['bakedGrams'])->toEqual(402)->and($batch->summary['state'])->toBe('finished')->and($batch->summary['next'])->toBe('a minute longer');
});

it('refuses what is no such table in words', function (string $content, string $says): void {
    $this->postJson('/api/csv/weights/look', ['content' => $content])->assertStatus(422)->assertJsonPath('message', fn (string $message): bool => str_contains($message, $says));
})->with([
    'nothing' => [' ', 'content of the file'],
    'without its columns' => ["a,b\n1,2", 'lacks the column'],
    'two of one name' => ["dog,dog,on,kg\nx,y,2026-06-01,9", 'same name'],
    'more than fits' => [str_repeat('x', Csv::LONGEST + 1), '12 MB'],
]);

it('reads no file with signs of the number 0', function (): void {
    Csv::read("dog\0,kg\n1,2");
})->throws(RequestRefused::class, 'number 0');

it('lets every row go once it is read: a long table holds no more locks than a short one', function (): void {
    $table = new class implements App\Exchange\Csv\Table
    {
        /** @var list<int> */
        public array $locks = [];

        public function columns(): array
        {
            return ['words' => true];
        }

        public function rows(): iterable
        {
            return [];
        }

        public function take(App\Exchange\Csv\Row $row): string
        {
            $words = $row->text('words', 20);
            App\Models\OwnName::query()->create(['words' => "$words of this table", 'ingredient' => 'oat-flour']);
            $this->locks[] = (int) Illuminate\Support\Facades\DB::selectOne("SELECT count(*) AS many FROM pg_locks WHERE pid = pg_backend_pid() AND locktype = 'transactionid'")->many;

            return 'new';
        }

        public function finish(): void {}
    };
    $told = App\Exchange\Csv\Tables::take($table, "words\r\n".implode("\r\n", array_map(static fn (int $n): string => $n === 30 ? str_repeat('x', 30) : "word $n", range(1, 60)))."\r\n", true);
    expect($told['rows'])->toBe(60)->and(array_column($told['problems'], 'row'))->toBe([31])->and(max($table->locks))->toBeLessThan(8);
});
